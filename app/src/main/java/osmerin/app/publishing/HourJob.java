package osmerin.app.publishing;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.Publishing.Due;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;

/**
 * Publishes what is Ready when its hour comes. Every few seconds one node looks for rounds whose
 * hour has passed; so it survives restarts, follows every change of date, hour or stage, and after
 * an outage catches up with what was due by then.
 */
@Service
public class HourJob {
  private static final Logger LOG = LoggerFactory.getLogger(HourJob.class);

  /** A failed publishing is tried again after this, up to so many times. */
  private static final Duration PAUSE = Duration.ofMinutes(5);

  private static final int MOST_TRIES = 6;

  /** Who publishes so long after the hour says so. */
  private static final Duration PUNCTUAL = Duration.ofMinutes(2);

  private final OnBehalf onBehalf;
  private final Publishing publishing;
  private final PublishService publish;
  private final ArticleService articles;
  private final Clock clock;

  HourJob(
      Publishing publishing,
      PublishService publish,
      ArticleService articles,
      OnBehalf onBehalf,
      Clock clock) {
    this.onBehalf = onBehalf;
    this.publishing = publishing;
    this.publish = publish;
    this.articles = articles;
    this.clock = clock;
  }

  /** Publishes everything whose hour has come. */
  public void run() {
    publishing.due(PAUSE, MOST_TRIES).forEach(this::publish);
  }

  private void publish(Due due) {
    SiteContext context = onBehalf.of(due.siteId(), due.by());
    try {
      publish.publish(
          context, due.number(), Wish.unattended(Optional.empty(), remark(context, due)));
    } catch (RefusedException e) {
      refused(context, due, e.getMessage());
    } catch (AskException e) {
      refused(context, due, e.getMessage() + " Publish it by hand.");
    } catch (RuntimeException e) {
      LOG.error("article {} of site {} could not be published", due.number(), due.siteId(), e);
    }
  }

  /** Unless it is being published, or was taken back since, that counts as a failed try. */
  private void refused(SiteContext context, Due due, String reason) {
    Round round = articles.get(context, due.number());
    boolean underway =
        round.publication().attemptedAt() != null && round.publication().failedAt() == null;
    if (round.stage().isSet() && !underway) {
      publish.failed(context, round, reason);
    }
  }

  private String remark(SiteContext context, Due due) {
    ZonedDateTime hour =
        due.publishDate().atTime(due.publishHour()).atZone(context.site().zoneId());
    Instant now = clock.instant();
    Duration after = Duration.between(hour.toInstant(), now);
    String at = " at the hour set for it";
    if (after.compareTo(PUNCTUAL) < 0) {
      return at;
    }
    String late = after.toHours() > 0 ? after.toHours() + " h " : "";
    String why =
        due.tries() == 0 ? ", since Osmerin was not running then" : ", after the blog host failed";
    return " " + late + after.toMinutesPart() + " min after the hour set for it" + why;
  }

  @Configuration
  static class Job {
    @Bean
    RecurringTask<Void> publishTask(
        HourJob job, @Value("${osmerin.publish-every:5s}") Duration every) {
      return Tasks.recurring("publish", FixedDelay.of(every))
          .execute((instance, context) -> job.run());
    }
  }
}
