package osmerin.app.reminders;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.notices.DailyMail;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.reminders.ReminderMapper.DaysBefore;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.runup.PlannedStep;
import osmerin.core.text.Listed;

/**
 * Reminds people of steps of theirs that are due soon or late, follow-ups too, once for each due
 * date. Whoever works alone on a site is not reminded: it all stands on their desk.
 */
@Service
public class Reminders {
  private static final Logger LOG = LoggerFactory.getLogger(Reminders.class);

  /** Most days before a step is due. */
  public static final int MOST_DAYS = 30;

  /** What was late before is known by now. */
  private static final int DAYS_LATE = 7;

  /** From this hour on, so that it comes with the daily mail. */
  private static final int HOUR = DailyMail.HOUR - 1;

  private final ReminderMapper reminders;
  private final ArticleService articles;
  private final SiteService sites;
  private final TeamService team;
  private final Notices notices;
  private final Clock clock;
  private final TransactionTemplate transactions;

  Reminders(
      ReminderMapper reminders,
      ArticleService articles,
      SiteService sites,
      TeamService team,
      Notices notices,
      Clock clock,
      TransactionTemplate transactions) {
    this.transactions = transactions;
    this.reminders = reminders;
    this.articles = articles;
    this.sites = sites;
    this.team = team;
    this.notices = notices;
    this.clock = clock;
  }

  /** Reminds on every site where it is morning and nobody was reminded today, each by itself. */
  public void remind() {
    for (Site site : sites.all()) {
      if (clock.instant().atZone(site.zoneId()).getHour() >= HOUR) {
        try {
          transactions.executeWithoutResult(status -> remindOnce(site));
        } catch (RuntimeException e) {
          LOG.error("the people of site {} could not be reminded", site.id(), e);
        }
      }
    }
  }

  private void remindOnce(Site site) {
    if (reminders.claim(site.id(), sites.today(site)) == 1) {
      remind(site);
    }
  }

  /** Reminds the people of a site of what is due by today. */
  @Transactional
  public void remind(Site site) {
    Map<Long, Integer> days =
        reminders.daysBefore(site.id()).stream()
            .collect(Collectors.toMap(DaysBefore::personId, DaysBefore::days));
    if (days.isEmpty() || team.isAlone(site.id())) {
      return;
    }
    long anybody = days.keySet().iterator().next();
    SiteContext context = sites.onBehalfOf(site.id(), team.signedIn(anybody));
    List<PlannedRound> rounds = new ArrayList<>(articles.open(context));
    rounds.addAll(articles.withFollowUps(context));
    rounds.forEach(planned -> remind(context, planned, days));
  }

  private void remind(SiteContext context, PlannedRound planned, Map<Long, Integer> days) {
    for (int i = 0; i < planned.steps().size(); i++) {
      StepRow row = planned.steps().get(i);
      PlannedStep step = planned.plan().steps().get(i);
      if (!step.done() && step.due() != null && planned.isInHand(row)) {
        for (Long person : planned.round().holders(row)) {
          if (days.containsKey(person)) {
            remind(context, planned, new Due(row, step.due(), person, days.get(person)));
          }
        }
      }
    }
  }

  /**
   * A step of a person.
   *
   * @param daysBefore so early they want to be told
   */
  private record Due(StepRow row, LocalDate day, long person, int daysBefore) {
    private boolean isToldOn(LocalDate today) {
      return day.isBefore(today)
          ? !day.isBefore(today.minusDays(DAYS_LATE))
          : !day.isAfter(today.plusDays(daysBefore));
    }
  }

  private void remind(SiteContext context, PlannedRound planned, Due due) {
    if (!due.isToldOn(context.today())) {
      return;
    }
    Round round = planned.round();
    boolean late = due.day().isBefore(context.today());
    NoticeKind kind = late ? NoticeKind.STEP_LATE : NoticeKind.STEP_DUE;
    if (reminders.insert(due.person(), round.id(), due.row().key(), kind, due.day()) == 1) {
      String path = context.base() + "/articles/" + round.reference();
      String text = text(planned, due.row(), due.day(), late);
      notices.tell(context.site(), List.of(due.person()), kind, text, path);
    }
  }

  private static String text(PlannedRound planned, StepRow row, LocalDate due, boolean late) {
    List<String> before =
        planned.waitsFor(row).stream().map(step -> "“" + step.name() + "”").toList();
    return "%s “%s”: “%s” %s due on %s%s"
        .formatted(
            planned.round().reference(),
            planned.round().title(),
            row.name(),
            late ? "was" : "is",
            In.day(due),
            before.isEmpty() ? "." : ", and waits for " + Listed.of(before) + ".");
  }

  /** How many days before a step is due the person is reminded. */
  public int daysBefore(long personId) {
    return reminders.daysOf(personId);
  }

  /**
   * Chooses how many days before a step is due the person is reminded.
   *
   * @param days 0, on the day itself, to {@value #MOST_DAYS}
   */
  @Transactional
  public void setDaysBefore(long personId, int days) {
    if (days < 0 || days > MOST_DAYS) {
      throw new RefusedException(
          "Reminders come 0 to %s days before a step is due.".formatted(MOST_DAYS));
    }
    reminders.setDays(personId, days);
  }

  @Configuration
  static class Job {
    @Bean
    RecurringTask<Void> reminderTask(Reminders reminders) {
      return Tasks.recurring("reminders", FixedDelay.of(Duration.ofMinutes(10)))
          .execute((instance, context) -> reminders.remind());
    }
  }
}
