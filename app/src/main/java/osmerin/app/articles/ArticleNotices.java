package osmerin.app.articles;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.rounds.GroupsTaken;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.StepRole;

/** Whom a change of an article concerns, and what they are told. */
@Component
public class ArticleNotices {
  private final Notices notices;
  private final ApplicationEventPublisher events;

  ArticleNotices(Notices notices, ApplicationEventPublisher events) {
    this.notices = notices;
    this.events = events;
  }

  public void named(SiteContext context, Round round, StepRole role, long person) {
    String text = "You are the %s of %s “%s”.".formatted(role, round.reference(), round.title());
    notices.tell(context, List.of(person), NoticeKind.NAMED, text, path(context, round));
  }

  void commissioned(SiteContext context, Round round) {
    Long group = round.article().groupId();
    if (group != null) {
      events.publishEvent(new GroupsTaken(context, List.of(group)));
    }
    round
        .article()
        .people()
        .forEach((role, named) -> named.forEach(person -> named(context, round, role, person)));
  }

  void dateMoved(SiteContext context, Round round, @Nullable LocalDate to) {
    String text =
        "%s “%s” moved from %s to %s."
            .formatted(
                round.reference(),
                round.title(),
                PublishDates.words(round.publishDate()),
                PublishDates.words(to));
    List<Long> whom = new ArrayList<>(round.article().people(StepRole.EDITOR));
    whom.addAll(round.article().people(StepRole.WRITER));
    notices.tell(context, whom, NoticeKind.DATE_MOVED, text, path(context, round));
  }

  /** Whoever does a step is told that it can start. */
  void canStart(SiteContext context, Round round, StepRow step) {
    String text =
        "%s “%s”: “%s” can start now.".formatted(round.reference(), round.title(), step.name());
    notices.tell(context, round.holders(step), NoticeKind.STEP_TURN, text, path(context, round));
  }

  static String path(SiteContext context, Round round) {
    return context.base() + "/articles/" + round.reference();
  }
}
