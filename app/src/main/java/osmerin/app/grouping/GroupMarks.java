package osmerin.app.grouping;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.groups.GivenName;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Kept;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicService;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Counted;

/**
 * What a person says of a group without moving its keywords: its name, its intent, whether it is
 * locked, archived, and which topic it is in. All of it outlives later imports and runs.
 */
@Service
public class GroupMarks implements Reversal {
  private static final String ARCHIVED = "Archived";
  private static final String LOCKED = "Locked";
  private static final String TOPIC = "Topic";
  private static final String INTENT = "Intent";

  private final GroupMarkMapper marks;
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final TopicService topicService;
  private final Rearranging rearranging;
  private final History history;

  GroupMarks(
      GroupMarkMapper marks,
      SiteKeywords siteKeywords,
      GroupService groupService,
      TopicService topicService,
      Rearranging rearranging,
      History history) {
    this.marks = marks;
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.topicService = topicService;
    this.rearranging = rearranging;
    this.history = history;
  }

  /**
   * Names a group.
   *
   * @param seen the name that the person saw
   * @throws ConflictException when somebody else named it first
   */
  @Transactional
  public void rename(SiteContext context, long id, String name, String seen) {
    context.require(Right.IMPORT);
    GroupRow group = groups(context, List.of(id)).get(0);
    String typed = GivenName.of(name, "It is still “" + group.name() + "”.");
    if (typed.equals(group.name())) {
      return;
    }
    if (marks.rename(context.siteId(), id, typed, true, seen) == 0) {
      throw GivenName.conflict(
          group.name(), typed, history.lastBy(context, Thing.GROUP, id, GivenName.FIELD));
    }
    history.note(
        context,
        Right.IMPORT,
        "The group “%s” is now “%s”.".formatted(group.name(), typed),
        Change.of(Thing.GROUP, id, GivenName.FIELD, group.name(), typed)
            .keeping(new Named(group.name(), group.namePinned()), new Named(typed, true)));
  }

  /** A name, and whether it outlives runs. */
  record Named(String name, boolean pinned) implements Kept {}

  /** What is done to one group; null when it is so already. */
  private interface Mark {
    @Nullable Change of(GroupRow group);
  }

  /** Does the same to all of these groups, as one entry. */
  private void mark(SiteContext context, Collection<Long> ids, String words, Mark mark) {
    context.require(Right.IMPORT);
    if (ids.isEmpty()) {
      throw new RefusedException("Mark the groups first, with Space or the box before each.");
    }
    List<Change> changes = new ArrayList<>();
    String name = "";
    for (GroupRow group : groups(context, ids)) {
      Change change = mark.of(group);
      if (change != null) {
        changes.add(change);
        name = group.name();
      }
    }
    String sentence =
        changes.size() == 1
            ? "The group “%s” is %s.".formatted(name, words)
            : Counted.of(changes.size(), "group") + " are " + words + ".";
    history.note(context, Right.IMPORT, sentence, changes);
  }

  private List<GroupRow> groups(SiteContext context, Collection<Long> ids) {
    Set<Long> asked = new TreeSet<>(ids);
    List<GroupRow> groups = groupService.rows(context, asked);
    if (groups.size() < asked.size()) {
      throw new NotFoundException("keyword group", asked);
    }
    return groups;
  }

  /** Locks groups, so that no run adds to them or takes from them, or unlocks them. */
  @Transactional
  public void lock(SiteContext context, Collection<Long> ids, boolean on) {
    mark(
        context,
        ids,
        on ? "locked" : "unlocked",
        group ->
            marks.lock(context.siteId(), group.id(), on) == 1
                ? turned(group, LOCKED, "locked", on)
                : null);
  }

  /** Puts groups out of sight, or brings them back; their keywords stay in them. */
  @Transactional
  public void archive(SiteContext context, Collection<Long> ids, boolean away) {
    mark(
        context,
        ids,
        away ? "archived" : "restored",
        group ->
            marks.archiveGroup(context.siteId(), group.id(), away) == 1
                ? turned(group, ARCHIVED, "archived", away)
                : null);
  }

  private static Change turned(GroupRow group, String field, String word, boolean on) {
    return Change.of(Thing.GROUP, group.id(), field, on ? null : word, on ? word : null);
  }

  /** Moves groups to the topic of that name, which is made when there is none. */
  @Transactional
  public void toTopic(SiteContext context, Collection<Long> ids, @Nullable String topicName) {
    String typed = GivenName.of(topicName == null ? "" : topicName, "Say which topic.");
    siteKeywords.lock(context.siteId());
    long topic = topicService.named(context, typed);
    mark(
        context,
        ids,
        "in the topic “" + typed + "” now",
        group -> moved(context, group, topic, typed));
    rearranging.choosePillars(context.siteId());
  }

  private @Nullable Change moved(SiteContext context, GroupRow group, long topic, String name) {
    Long from = group.topicId();
    if (Objects.equals(from, topic)
        || marks.setTopic(context.siteId(), group.id(), topic, from) == 0) {
      return null;
    }
    if (from != null) {
      topicService.touch(context, from);
    }
    return Change.of(Thing.GROUP, group.id(), TOPIC, group.topic(), name).keeping(from, topic);
  }

  /** Says what people who search for these groups want, and how far they are. */
  @Transactional
  public void setIntent(
      SiteContext context, Collection<Long> ids, SearchIntent intent, FunnelStage stage) {
    Meaning after = new Meaning(intent, stage, true, "set by " + context.person().name());
    mark(
        context,
        ids,
        after.words() + " now",
        group -> {
          Meaning before =
              new Meaning(
                  group.intent(), group.funnelStage(), group.intentPinned(), group.intentReason());
          if (before.equals(after)) {
            return null;
          }
          put(context, group.id(), after);
          return Change.of(Thing.GROUP, group.id(), INTENT, before.words(), after.words())
              .keeping(before, after);
        });
  }

  /** Intent and funnel stage, and who says so. */
  record Meaning(SearchIntent intent, FunnelStage stage, boolean pinned, String reason)
      implements Kept {
    String words() {
      return (intent + ", " + stage).toLowerCase(Locale.ROOT);
    }
  }

  private void put(SiteContext context, long id, Meaning meaning) {
    marks.setIntent(
        new GroupMarkMapper.Intended(
            context.siteId(),
            id,
            meaning.intent(),
            meaning.stage(),
            meaning.pinned(),
            meaning.reason()));
  }

  @Override
  public Thing thing() {
    return Thing.GROUP;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    changes.forEach(change -> reverse(context, Long.parseLong(key), change));
  }

  private void reverse(SiteContext context, long id, Change change) {
    boolean put =
        switch (change.field()) {
          case ARCHIVED -> marks.archiveGroup(context.siteId(), id, change.from() != null) == 1;
          case LOCKED -> marks.lock(context.siteId(), id, change.from() != null) == 1;
          case GivenName.FIELD -> {
            Named back = change.from(Named.class);
            yield marks.rename(
                    context.siteId(), id, back.name(), back.pinned(), change.to(Named.class).name())
                == 1;
          }
          case TOPIC -> {
            Long from = change.from() == null ? null : Long.valueOf(change.from());
            Long to = change.to() == null ? null : Long.valueOf(change.to());
            boolean moved = marks.setTopic(context.siteId(), id, from, to) == 1;
            rearranging.choosePillars(context.siteId());
            yield moved;
          }
          case INTENT -> {
            Meaning back = change.from(Meaning.class);
            put(context, id, back);
            yield true;
          }
          default -> throw new IllegalStateException("no value of a group: " + change.field());
        };
    if (!put) {
      throw new RefusedException("The group is not as it was left, so it cannot be put back.");
    }
  }
}
