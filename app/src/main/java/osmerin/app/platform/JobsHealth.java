package osmerin.app.platform;

import com.github.kagkarlsson.scheduler.event.AbstractSchedulerListener;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * Down when this node has not looked for due jobs for a while: imports, publishing and mail would
 * wait for good.
 */
@Component("jobs")
class JobsHealth extends AbstractSchedulerListener implements HealthIndicator {
  /** It is looked for jobs every few seconds; an outage of the database may take a minute. */
  private static final Duration PATIENCE = Duration.ofMinutes(3);

  private final Clock clock;
  private volatile Instant last;

  JobsHealth(Clock clock) {
    this.clock = clock;
    this.last = clock.instant();
  }

  @Override
  public void onSchedulerEvent(SchedulerEventType event) {
    if (event == SchedulerEventType.RAN_EXECUTE_DUE) {
      last = clock.instant();
    }
  }

  @Override
  public Health health() {
    Duration silent = Duration.between(last, clock.instant());
    Health.Builder health = silent.compareTo(PATIENCE) > 0 ? Health.down() : Health.up();
    return health.withDetail("silentSeconds", silent.toSeconds()).build();
  }
}
