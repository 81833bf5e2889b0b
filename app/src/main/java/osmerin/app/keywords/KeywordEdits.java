package osmerin.app.keywords;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.exclusions.Exclusions;
import osmerin.app.grouping.GroupEdits;
import osmerin.app.grouping.HandEdits;
import osmerin.app.grouping.PlaceRow;
import osmerin.app.grouping.Placing;
import osmerin.app.grouping.Rearranging;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.keywords.KeywordMapper.Found;
import osmerin.app.keywords.KeywordMapper.IntentRow;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Counted;

/** What is done to keywords, one or many: the rows that are marked, or all that match a filter. */
@Service
public class KeywordEdits implements Reversal {
  /** What is done. */
  public enum What {
    MOVE,
    SPLIT,
    TAKE_OUT,
    PLACE,
    INTENT,
    EXCLUDE
  }

  private static final String INTENT = "Intent";

  private final KeywordMapper keywords;
  private final GroupService groups;
  private final GroupEdits edits;
  private final HandEdits handEdits;
  private final Placing placing;
  private final Rearranging rearranging;
  private final Exclusions exclusions;
  private final History history;

  KeywordEdits(
      KeywordMapper keywords,
      GroupService groups,
      GroupEdits edits,
      HandEdits handEdits,
      Placing placing,
      Rearranging rearranging,
      Exclusions exclusions,
      History history) {
    this.keywords = keywords;
    this.groups = groups;
    this.edits = edits;
    this.handEdits = handEdits;
    this.placing = placing;
    this.rearranging = rearranging;
    this.exclusions = exclusions;
    this.history = history;
  }

  /**
   * The keywords that match a filter, on all pages.
   *
   * @throws RefusedException when there are more than may be changed at once
   */
  public List<Long> matching(SiteContext context, KeywordFilter filter) {
    List<Found> found = keywords.found(context.siteId(), filter, HandEdits.MOST + 1);
    if (found.size() > HandEdits.MOST) {
      throw new RefusedException(
          String.format(
              Locale.ROOT,
              "More than %,d keywords match. Filter for fewer; at most so many are changed at once.",
              HandEdits.MOST));
    }
    return found.stream().map(Found::id).toList();
  }

  /**
   * Changes keywords.
   *
   * @param value the name of the group, or the intent
   * @return what was done, in a sentence
   */
  @Transactional
  public String change(
      SiteContext context, Collection<Long> ids, What what, @Nullable String value) {
    context.require(Right.IMPORT);
    String them = Counted.of(ids.size(), "keyword");
    return switch (what) {
      case MOVE -> {
        edits.move(context, ids, groups.named(context, value));
        yield them + " moved into “" + String.valueOf(value).strip() + "”.";
      }
      case SPLIT -> {
        edits.split(context, ids);
        yield them + " in a group of their own.";
      }
      case TAKE_OUT -> {
        edits.takeOut(context, ids);
        yield them
            + (ids.size() == 1
                ? " removed from its group. It waits to be grouped."
                : " removed from their groups. They wait to be grouped.");
      }
      case PLACE -> place(context, ids);
      case INTENT -> setIntent(context, ids, intent(value));
      case EXCLUDE -> {
        exclusions.exclude(context, ids);
        yield them + " excluded.";
      }
    };
  }

  private String place(SiteContext context, Collection<Long> ids) {
    handEdits.begin(context);
    List<PlaceRow> waiting =
        handEdits.places(context, ids).stream()
            .filter(p -> p.groupId() == null && !p.excluded())
            .toList();
    if (waiting.isEmpty()) {
      throw new RefusedException("None of these waits for a group. Take them out of theirs first.");
    }
    Placing.Outcome outcome = placing.place(context, waiting);
    long found = outcome.found();
    String sentence =
        "%s found a group%s."
            .formatted(
                Counted.of(found, "keyword"),
                found == waiting.size()
                    ? ""
                    : "; " + (waiting.size() - found) + " fit none and wait");
    history.note(context, Right.IMPORT, sentence, outcome.change());
    return sentence;
  }

  private static SearchIntent intent(@Nullable String value) {
    for (SearchIntent intent : SearchIntent.values()) {
      if (intent.name().equals(value)) {
        return intent;
      }
    }
    throw new RefusedException("Choose an intent.");
  }

  private String setIntent(SiteContext context, Collection<Long> ids, SearchIntent intent) {
    handEdits.begin(context);
    List<PlaceRow> places = handEdits.places(context, ids);
    long edit = handEdits.insertEdit(context);
    keywords.keepIntents(edit, places.stream().map(PlaceRow::keywordId).toList(), intent);
    putIntents(context, edit, true, places);
    String sentence =
        "%s: intent %s.".formatted(Counted.of(places.size(), "keyword"), words(intent));
    history.note(
        context,
        Right.IMPORT,
        sentence,
        Change.of(Thing.INTENTS, edit, INTENT, null, words(intent))
            .keeping(HandEdits.BEFORE, HandEdits.AFTER));
    return sentence;
  }

  private static String words(SearchIntent intent) {
    return intent.name().toLowerCase(Locale.ROOT);
  }

  /** Puts the intents of an edit, or those before it, and works their groups out again. */
  private void putIntents(
      SiteContext context, long edit, boolean after, Collection<PlaceRow> places) {
    keywords.putIntents(edit, after);
    Set<Long> groups = new HashSet<>();
    places.stream().map(PlaceRow::groupId).filter(id -> id != null).forEach(groups::add);
    rearranging.apply(context.siteId(), new HashMap<>(), groups, Map.of());
  }

  @Override
  public Thing thing() {
    return Thing.INTENTS;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    handEdits.begin(context);
    long edit = Long.parseLong(key);
    boolean after = HandEdits.AFTER.equals(changes.get(0).from());
    List<IntentRow> rows = keywords.intents(context.siteId(), edit);
    List<Long> ids = new ArrayList<>();
    for (IntentRow row : rows) {
      if (!row.isAt(!after)) {
        throw new RefusedException(
            "The intent of “%s” has been set again since. Undo that first.".formatted(row.text()));
      }
      ids.add(row.keywordId());
    }
    putIntents(context, edit, after, handEdits.places(context, ids));
  }
}
