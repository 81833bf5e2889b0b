package osmerin.app.topics;

import java.time.Clock;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.groups.GivenName;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/**
 * What people say of a topic: its name, its pillar, and whether the team keeps it in mind. Later
 * imports and runs respect it.
 */
@Service
public class TopicEdits implements Reversal {
  /** More lead topics than these nobody keeps in mind. */
  static final int MOST_LEADS = 5;

  private static final String PILLAR = "Pillar";
  private static final String FOCUS = "Lead topic";

  private final TopicMapper topics;
  private final SiteKeywords siteKeywords;
  private final GroupService groups;
  private final TopicService service;
  private final History history;
  private final Clock clock;

  TopicEdits(
      TopicMapper topics,
      SiteKeywords siteKeywords,
      GroupService groups,
      TopicService service,
      History history,
      Clock clock) {
    this.topics = topics;
    this.siteKeywords = siteKeywords;
    this.groups = groups;
    this.service = service;
    this.history = history;
    this.clock = clock;
  }

  /**
   * Names a topic.
   *
   * @param seen the name that the person saw
   */
  @Transactional
  public void rename(SiteContext context, long id, String name, String seen) {
    TopicRow topic = begin(context, id);
    String typed = GivenName.of(name, "It is still “" + topic.name() + "”.");
    if (typed.equals(topic.name())) {
      return;
    }
    refuseTaken(context, id, typed);
    if (topics.rename(context.siteId(), id, typed, seen) == 0) {
      throw GivenName.conflict(
          topic.name(), typed, history.lastBy(context, Thing.TOPIC, id, GivenName.FIELD));
    }
    history.note(
        context,
        Right.IMPORT,
        "The topic “%s” is now “%s”.".formatted(topic.name(), typed),
        Change.of(Thing.TOPIC, id, GivenName.FIELD, topic.name(), typed));
  }

  private void refuseTaken(SiteContext context, long id, String name) {
    if (topics.countNamed(context.siteId(), name, id) > 0) {
      throw new RefusedException(
          "There is a topic “%s” already. Move the groups there, or choose another name."
              .formatted(name));
    }
  }

  /** Makes a group the pillar of its topic. */
  @Transactional
  public void choosePillar(SiteContext context, long id, long groupId) {
    TopicRow topic = begin(context, id);
    GroupRow group =
        groups.rows(context, List.of(groupId)).stream()
            .filter(g -> Objects.equals(g.topicId(), id))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("keyword group", groupId));
    if (Objects.equals(topic.pillarGroupId(), groupId)) {
      return;
    }
    if (topics.choosePillar(context.siteId(), id, groupId, topic.pillarGroupId()) == 0) {
      throw new RefusedException("A group without keywords can’t be a pillar.");
    }
    history.note(
        context,
        Right.IMPORT,
        "“%s” is the pillar of “%s” now.".formatted(group.name(), topic.name()),
        Change.of(Thing.TOPIC, id, PILLAR, topic.pillar(), group.name())
            .keeping(topic.pillarGroupId(), groupId));
  }

  /** Puts a topic among the few that the whole team keeps in mind, or takes it from there. */
  @Transactional
  public void focus(SiteContext context, long id, boolean on) {
    TopicRow topic = begin(context, id);
    if (on && topics.countFocus(context.siteId()) >= MOST_LEADS) {
      throw new RefusedException(
          "There are already %s lead topics. Remove one first.".formatted(MOST_LEADS));
    }
    if (topics.focus(context.siteId(), id, on ? clock.instant() : null) == 1) {
      history.note(
          context,
          Right.IMPORT,
          "“%s” is %s.".formatted(topic.name(), on ? "a lead topic" : "no longer a lead topic"),
          Change.of(Thing.TOPIC, id, FOCUS, on ? null : "lead topic", on ? "lead topic" : null));
    }
  }

  private TopicRow begin(SiteContext context, long id) {
    context.require(Right.IMPORT);
    siteKeywords.lock(context.siteId());
    return service.all(context.siteId()).stream()
        .filter(t -> t.id() == id)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("topic", id));
  }

  @Override
  public Thing thing() {
    return Thing.TOPIC;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long id = Long.parseLong(key);
    TopicRow topic = begin(context, id);
    for (Change change : changes) {
      boolean put =
          switch (change.field()) {
            case GivenName.FIELD -> {
              String back = String.valueOf(change.from());
              refuseTaken(context, id, back);
              yield topics.rename(context.siteId(), id, back, String.valueOf(change.to())) == 1;
            }
            case PILLAR ->
                change.from() != null
                    && topics.choosePillar(
                            context.siteId(),
                            id,
                            Long.parseLong(change.from()),
                            topic.pillarGroupId())
                        == 1;
            default ->
                topics.focus(context.siteId(), id, change.from() == null ? null : clock.instant())
                    == 1;
          };
      if (!put) {
        throw new RefusedException("The topic is not as it was left, so it cannot be put back.");
      }
    }
  }
}
