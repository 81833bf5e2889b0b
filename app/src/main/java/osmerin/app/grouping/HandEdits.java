package osmerin.app.grouping;

import static osmerin.app.platform.data.CopyIn.fields;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.grouping.HandEditMapper.Answer;
import osmerin.app.grouping.HandEditMapper.EditedKeyword;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.GroupState;
import osmerin.app.history.Change;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.text.Counted;

/**
 * Carries out what people do to keywords, keeps it in the history, and takes it back while its
 * keywords are where it put them. Whoever moves keywords by hand calls this.
 */
@Service
public class HandEdits implements Reversal {
  /** More keywords than these are not edited by hand at once. */
  public static final int MOST = 50_000;

  public static final String BEFORE = "before";
  public static final String AFTER = "after";
  private static final String KEYWORDS = "Keywords";
  private static final int GROUPS_TOLD = 100;

  private final HandEditMapper edits;
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final Rearranging rearranging;
  private final CopyIn copy;

  HandEdits(
      HandEditMapper edits,
      SiteKeywords siteKeywords,
      GroupService groupService,
      Rearranging rearranging,
      CopyIn copy) {
    this.edits = edits;
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.rearranging = rearranging;
    this.copy = copy;
  }

  /** Lets nobody else move keywords of the site until the transaction ends. */
  public void begin(SiteContext context) {
    context.require(Right.IMPORT);
    siteKeywords.lock(context.siteId());
  }

  /** Where these keywords are. */
  public List<PlaceRow> places(SiteContext context, Collection<Long> keywordIds) {
    Set<Long> ids = new TreeSet<>(keywordIds);
    if (ids.isEmpty()) {
      throw new RefusedException("Mark the keywords first, with Space or the box before each.");
    }
    if (ids.size() > MOST) {
      throw new RefusedException(
          String.format(
              Locale.ROOT,
              "At most %,d keywords are moved by hand at once; these are %,d.",
              MOST,
              ids.size()));
    }
    List<PlaceRow> places = edits.places(context.siteId(), List.copyOf(ids));
    if (places.size() < ids.size()) {
      throw new NotFoundException("keyword", ids.size() == 1 ? ids.iterator().next() : "");
    }
    return places;
  }

  static Set<Long> groupsOf(Collection<PlaceRow> places) {
    return places.stream()
        .map(PlaceRow::groupId)
        .filter(id -> id != null)
        .collect(Collectors.toSet());
  }

  /**
   * Carries an edit out and keeps it.
   *
   * @param places where the wanted keywords are now
   * @param topicOfNew the topic of each group that is yet to be, by the id it is to have
   * @return for the history
   */
  public List<Change> carryOut(
      SiteContext context,
      Map<Long, Place> wanted,
      Collection<PlaceRow> places,
      Map<Long, @Nullable Long> topicOfNew) {
    List<PlaceRow> changing =
        places.stream().filter(p -> !p.place().equals(wanted.get(p.keywordId()))).toList();
    Map<Long, GroupState> before = states(context, changing, wanted);
    refuseLocked(before.values());
    long edit = keep(context, changing, wanted);
    followArticles(context, edit, before.values(), changing, wanted);
    edits.putArticles(edit, false);
    rearranging.apply(context.siteId(), only(wanted, changing), groupsOf(changing), topicOfNew);
    return changes(context, edit, before);
  }

  private static Map<Long, Place> only(Map<Long, Place> wanted, List<PlaceRow> changing) {
    return changing.stream()
        .collect(Collectors.toMap(PlaceRow::keywordId, p -> wanted.get(p.keywordId())));
  }

  private Map<Long, GroupState> states(
      SiteContext context, Collection<PlaceRow> changing, Map<Long, Place> wanted) {
    Set<Long> ids = new HashSet<>(groupsOf(changing));
    wanted.values().stream().map(Place::groupId).filter(id -> id != null).forEach(ids::add);
    return groupService.states(context.siteId(), List.copyOf(ids)).stream()
        .collect(Collectors.toMap(GroupState::id, Function.identity(), (a, b) -> a, TreeMap::new));
  }

  private static void refuseLocked(Collection<GroupState> groups) {
    groups.stream()
        .filter(GroupState::locked)
        .findFirst()
        .ifPresent(
            g -> {
              throw new RefusedException(
                  "“%s” is locked. Unlock it first; nothing was changed.".formatted(g.name()));
            });
  }

  /** Begins to keep an edit. */
  public long insertEdit(SiteContext context) {
    return edits.insertEdit(context.siteId());
  }

  /** The change that an edit is in the history. */
  static Change kept(long edit) {
    return Change.of(Thing.GROUPING, edit, KEYWORDS, null, null).keeping(BEFORE, AFTER);
  }

  /** Keeps where the keywords were and where they are to be. */
  long keep(SiteContext context, Collection<PlaceRow> changing, Map<Long, Place> wanted) {
    long edit = insertEdit(context);
    copy.rows(
        "hand_edit_keyword (edit_id, keyword_id, before_group, before_pinned, before_excluded,"
            + " after_group, after_pinned, after_excluded)",
        changing,
        p -> {
          Place to = wanted.get(p.keywordId());
          return fields(
              edit,
              p.keywordId(),
              p.groupId(),
              p.pinned(),
              p.excluded(),
              to.groupId(),
              to.pinned(),
              to.excluded());
        });
    return edit;
  }

  /** Articles of a group that is left by all its keywords go where those go, if that is one. */
  private void followArticles(
      SiteContext context,
      long edit,
      Collection<GroupState> before,
      Collection<PlaceRow> changing,
      Map<Long, Place> wanted) {
    Map<Long, List<PlaceRow>> leaving =
        changing.stream()
            .filter(p -> p.groupId() != null && !p.place().sameAs(wanted.get(p.keywordId())))
            .collect(Collectors.groupingBy(PlaceRow::groupId));
    Map<Long, GroupState> emptied =
        before.stream()
            .filter(g -> leaving.getOrDefault(g.id(), List.of()).size() == g.keywords())
            .filter(g -> g.keywords() > 0)
            .collect(Collectors.toMap(GroupState::id, Function.identity()));
    for (Answer answer : edits.answers(context.siteId(), List.copyOf(emptied.keySet()))) {
      Set<@Nullable Long> targets = new HashSet<>();
      leaving.get(answer.groupId()).forEach(p -> targets.add(wanted.get(p.keywordId()).groupId()));
      Long target = targets.size() == 1 ? targets.iterator().next() : null;
      if (target == null) {
        throw new RefusedException(
            "%s answers “%s”, which would have no keywords left. Leave it one, or merge it."
                .formatted(
                    new ReferenceNumber(context.site().prefix(), answer.number()),
                    emptied.get(answer.groupId()).name()));
      }
      edits.follow(edit, answer.articleId(), target);
    }
  }

  private List<Change> changes(SiteContext context, long edit, Map<Long, GroupState> before) {
    List<Change> changes = new ArrayList<>();
    changes.add(kept(edit));
    List<Long> ids = before.keySet().stream().limit(GROUPS_TOLD).toList();
    for (GroupState after : groupService.states(context.siteId(), ids)) {
      String was = Counted.of(before.get(after.id()).keywords(), "keyword");
      String is = Counted.of(after.keywords(), "keyword");
      if (!was.equals(is)) {
        changes.add(Change.lasting(Thing.GROUP, after.id(), KEYWORDS, was, is));
      }
    }
    return changes;
  }

  @Override
  public Thing thing() {
    return Thing.GROUPING;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    begin(context);
    boolean back = BEFORE.equals(changes.get(0).from());
    long edit = Long.parseLong(key);
    Map<Long, PlaceRow> now = new HashMap<>();
    List<EditedKeyword> edited = edits.edited(context.siteId(), edit);
    edits
        .places(context.siteId(), edited.stream().map(EditedKeyword::keywordId).toList())
        .forEach(p -> now.put(p.keywordId(), p));
    Map<Long, Place> wanted = new LinkedHashMap<>();
    for (EditedKeyword keyword : edited) {
      PlaceRow is = now.get(keyword.keywordId());
      // A keyword that went with its import stays away.
      if (is != null) {
        refuseIfMoved(is, back ? keyword.after() : keyword.before());
        wanted.put(keyword.keywordId(), back ? keyword.before() : keyword.after());
      }
    }
    Map<Long, GroupState> states = states(context, now.values(), wanted);
    refuseLocked(states.values());
    wanted
        .values()
        .forEach(
            place -> {
              if (place.groupId() != null && !states.containsKey(place.groupId())) {
                throw new RefusedException("A group that they were in has gone with its import.");
              }
            });
    edits.putArticles(edit, back);
    rearranging.apply(context.siteId(), wanted, groupsOf(now.values()), Map.of());
  }

  private static void refuseIfMoved(PlaceRow is, Place expected) {
    if (!is.place().equals(expected)) {
      throw new RefusedException(
          "“%s” has been moved again since. Undo that first.".formatted(is.text()));
    }
  }
}
