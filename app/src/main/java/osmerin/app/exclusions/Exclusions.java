package osmerin.app.exclusions;

import static osmerin.app.platform.data.CopyIn.fields;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.exclusions.ExclusionMapper.Candidate;
import osmerin.app.exclusions.ExclusionMapper.ExclusionRow;
import osmerin.app.grouping.HandEdits;
import osmerin.app.grouping.PlaceRow;
import osmerin.app.grouping.Placing;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.ExcludeList;
import osmerin.core.keyword.ExcludeList.Entry;
import osmerin.core.keyword.ExcludeList.Kind;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.NormalForm;
import osmerin.core.text.Counted;

/**
 * The exclude list of a site. What is on it is out of sight and in no group, also when it comes
 * with a later import; taken off the list, keywords come back and find their group.
 */
@Service
public class Exclusions implements Reversal {
  private static final String ENTRY = "Exclude list";

  private final ExclusionMapper exclusions;
  private final HandEdits edits;
  private final Placing placing;
  private final CopyIn copy;
  private final History history;
  private final Clock clock;

  Exclusions(
      ExclusionMapper exclusions,
      HandEdits edits,
      Placing placing,
      CopyIn copy,
      History history,
      Clock clock) {
    this.exclusions = exclusions;
    this.edits = edits;
    this.placing = placing;
    this.copy = copy;
    this.history = history;
    this.clock = clock;
  }

  /** Entries, the latest first. */
  public List<ExclusionRow> list(SiteContext context, int offset, int limit) {
    return exclusions.list(context.siteId(), offset, limit);
  }

  public long count(SiteContext context) {
    return exclusions.count(context.siteId());
  }

  /** What keywords of the site are compared with. */
  public ExcludeList current(long siteId) {
    return new ExcludeList(
        exclusions.entries(siteId).stream().map(e -> new Entry(e.kind(), e.normal())).toList());
  }

  /**
   * Excludes all keywords that hold these words side by side, or just this keyword.
   *
   * @return how many keywords went out of sight
   */
  @Transactional
  public int add(SiteContext context, Kind kind, @Nullable String typed) {
    edits.begin(context);
    String text = typed == null ? "" : typed.strip();
    String normal = text.length() > Keyword.MAX_LENGTH ? "" : NormalForm.of(text);
    if (normal.isEmpty()) {
      throw new RefusedException(
          "Type the words to exclude, up to " + Keyword.MAX_LENGTH + " characters.");
    }
    Entry entry = new Entry(kind, normal);
    if (current(context.siteId()).has(entry)) {
      throw new RefusedException("“" + text + "” is on the list already.");
    }
    ExcludeList alone = new ExcludeList(List.of(entry));
    List<Long> ids =
        exclusions.candidates(context.siteId(), false, "%" + LikePattern.of(normal) + "%").stream()
            .filter(c -> alone.excludes(c.normal()))
            .map(Candidate::id)
            .toList();
    List<Change> changes = list(context, List.of(new Listed(entry, text)), true);
    hide(context, ids, changes);
    history.note(
        context,
        Right.IMPORT,
        "“%s” was excluded: %s out of sight.".formatted(text, Counted.of(ids.size(), "keyword")),
        changes);
    return ids.size();
  }

  /** Excludes these keywords, each by itself. */
  @Transactional
  public void exclude(SiteContext context, Collection<Long> keywordIds) {
    edits.begin(context);
    List<PlaceRow> places = edits.places(context, keywordIds);
    ExcludeList now = current(context.siteId());
    List<Change> changes =
        list(
            context,
            places.stream()
                .map(p -> new Listed(new Entry(Kind.KEYWORD, NormalForm.of(p.text())), p.text()))
                .filter(listed -> !now.has(listed.entry()))
                .toList(),
            true);
    hide(context, keywordIds, changes);
    history.note(
        context,
        Right.IMPORT,
        (places.size() == 1
                ? "“" + places.get(0).text() + "” was"
                : Counted.of(places.size(), "keyword") + " were")
            + " excluded.",
        changes);
  }

  /** An entry as somebody spelled it. */
  private record Listed(Entry entry, String text) {}

  /**
   * Puts entries onto the list, or takes them off it.
   *
   * @return for the history
   */
  private List<Change> list(SiteContext context, List<Listed> entries, boolean added) {
    long edit = edits.insertEdit(context);
    copy.rows(
        "hand_edit_exclusion (edit_id, kind, text, normal, added)",
        entries,
        e -> fields(edit, e.entry().kind(), e.text(), e.entry().normal(), added));
    put(context, edit, added, added);
    String text =
        entries.size() == 1 ? entries.get(0).text() : Counted.of(entries.size(), "keyword");
    return new ArrayList<>(
        List.of(
            Change.of(Thing.EXCLUSION, edit, ENTRY, added ? null : text, added ? text : null)
                .keeping(HandEdits.BEFORE, HandEdits.AFTER)));
  }

  /**
   * Puts what an edit added or removed onto the list, or takes it off.
   *
   * @return whether all of it was as expected
   */
  private boolean put(SiteContext context, long edit, boolean added, boolean onto) {
    int done =
        onto
            ? exclusions.put(context.siteId(), edit, added, context.personId(), clock.instant())
            : exclusions.take(context.siteId(), edit, added);
    return done == exclusions.countEdited(edit, added);
  }

  private void hide(SiteContext context, Collection<Long> ids, List<Change> changes) {
    if (!ids.isEmpty()) {
      List<PlaceRow> places = edits.places(context, ids);
      Map<Long, Place> wanted = new LinkedHashMap<>();
      places.forEach(p -> wanted.put(p.keywordId(), Place.EXCLUDED));
      changes.addAll(edits.carryOut(context, wanted, places, Map.of()));
    }
  }

  /**
   * Takes an entry off the list. Keywords that no other entry excludes come back and find their
   * groups, or wait for one.
   *
   * @return how many came back
   */
  @Transactional
  public int remove(SiteContext context, long id) {
    edits.begin(context);
    ExclusionRow entry =
        exclusions
            .find(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("entry of the exclude list", id));
    String normal = NormalForm.of(entry.text());
    List<Change> changes =
        list(context, List.of(new Listed(new Entry(entry.kind(), normal), entry.text())), false);
    ExcludeList rest = current(context.siteId());
    List<Long> back =
        exclusions.candidates(context.siteId(), true, "%" + LikePattern.of(normal) + "%").stream()
            .filter(c -> !rest.excludes(c.normal()))
            .map(Candidate::id)
            .toList();
    if (!back.isEmpty()) {
      changes.add(placing.place(context, edits.places(context, back)).change());
    }
    history.note(
        context,
        Right.IMPORT,
        "“%s” is off the exclude list: %s came back."
            .formatted(entry.text(), Counted.of(back.size(), "keyword")),
        changes);
    return back.size();
  }

  @Override
  public Thing thing() {
    return Thing.EXCLUSION;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long edit = Long.parseLong(key);
    boolean back = HandEdits.BEFORE.equals(changes.get(0).from());
    // Taking back an addition takes off the list; taking back a removal puts onto it.
    if (!put(context, edit, true, !back) || !put(context, edit, false, back)) {
      throw new RefusedException("The exclude list has changed since; look at it.");
    }
  }
}
