package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.kagkarlsson.scheduler.event.SchedulerListener.SchedulerEventType;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.springframework.boot.health.contributor.Status;

class JobsHealthTest {
  private Instant now = Instant.parse("2026-05-04T09:00:00Z");
  private final JobsHealth health = new JobsHealth(new Moving());

  private final class Moving extends Clock {
    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return this;
    }

    @Override
    public Instant instant() {
      return now;
    }
  }

  @Test
  void isDownOnceNobodyLooksForJobsAndUpWhenSomebodyDoesAgain() {
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
    now = now.plus(Duration.ofMinutes(2));
    health.onSchedulerEvent(SchedulerEventType.RAN_EXECUTE_DUE);
    now = now.plus(Duration.ofMinutes(2));
    health.onSchedulerEvent(SchedulerEventType.FAILED_HEARTBEAT);
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
    now = now.plus(Duration.ofMinutes(2));
    assertThat(health.health().getStatus()).isEqualTo(Status.DOWN);
    health.onSchedulerEvent(SchedulerEventType.RAN_EXECUTE_DUE);
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
  }
}
