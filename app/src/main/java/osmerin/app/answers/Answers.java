package osmerin.app.answers;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.live.LiveMatching;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.GroupsTaken;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Says which keyword group an article answers. */
@Service
public class Answers implements RoundReversal {
  private static final String GROUP = "Keyword group";

  private final ArticleService articles;
  private final ArticleEdits edits;
  private final GroupService groups;
  private final TypedKeywords typedKeywords;
  private final LiveMatching matching;
  private final History history;
  private final ApplicationEventPublisher events;

  Answers(
      ArticleService articles,
      ArticleEdits edits,
      GroupService groups,
      TypedKeywords typedKeywords,
      LiveMatching matching,
      History history,
      ApplicationEventPublisher events) {
    this.articles = articles;
    this.edits = edits;
    this.groups = groups;
    this.typedKeywords = typedKeywords;
    this.matching = matching;
    this.history = history;
    this.events = events;
  }

  /**
   * Says which group an article answers, or that it answers none.
   *
   * @param seen the group that the person saw it answer
   * @param anyway also when another article answers the group
   * @throws AskException when another article answers it
   */
  @Transactional
  public void say(
      SiteContext context,
      int number,
      @Nullable Long seen,
      @Nullable Long groupId,
      boolean anyway) {
    context.require(Right.COMMISSION);
    if (Objects.equals(seen, groupId)) {
      return;
    }
    Round round = articles.get(context, number);
    Group group = groupId == null ? null : groups.group(context, groupId);
    if (group != null && !anyway) {
      askAboutOthers(round, group);
    }
    if (round.isLive() || round.ordinal() > 1) {
      // What an article that was live answers is told by its readers too, and learned from.
      matching.correct(context, number, groupId);
      return;
    }
    if (!edits.answer(round, seen, groupId)) {
      throw new RefusedException(
          "Someone else just set the group of %s. Look again.".formatted(round.reference()));
    }
    String before = name(context, seen);
    String after = group == null ? null : group.row().name();
    history.note(
        context,
        Right.COMMISSION,
        round.reference()
            + (after == null ? " answers no group." : " answers “%s”.".formatted(after)),
        Change.of(Thing.ARTICLE, number, GROUP, before, after)
            .keeping(stored(seen), stored(groupId)));
    if (groupId != null) {
      events.publishEvent(new GroupsTaken(context, List.of(groupId)));
    }
  }

  private static void askAboutOthers(Round round, Group group) {
    List<String> others =
        group.articles().stream()
            .filter(other -> other.number() != round.article().number())
            .map(
                other ->
                    "%s “%s”, %s"
                        .formatted(other.reference(), other.title(), other.stage().label()))
            .toList();
    if (!others.isEmpty()) {
      throw new AskException(
          "“%s” is answered already. Two articles on one group compete with each other."
              .formatted(group.row().name()),
          others,
          "Choose it anyway");
    }
  }

  private @Nullable String name(SiteContext context, @Nullable Long group) {
    return group == null ? null : groups.names(context, List.of(group)).get(group);
  }

  private static @Nullable String stored(@Nullable Long group) {
    return group == null ? null : group.toString();
  }

  /** Makes a group of typed keywords, and says that an article answers it: both or neither. */
  @Transactional
  public void sayTyped(SiteContext context, int number, @Nullable Long seen, String typed) {
    say(context, number, seen, typedKeywords.group(context, typed), true);
  }

  @Override
  public boolean knows(String field) {
    return field.equals(GROUP);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    Long now = id(change.to());
    return Objects.equals(round.article().groupId(), now)
        && edits.answer(round, now, id(change.from()));
  }

  private static @Nullable Long id(@Nullable String stored) {
    return stored == null ? null : Long.valueOf(stored);
  }
}
