package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.kagkarlsson.scheduler.event.SchedulerListener.SchedulerEventType;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.boot.health.contributor.Status;
import osmerin.app.support.MovingClock;

class JobsHealthTest {
  private final MovingClock clock = new MovingClock();
  private final JobsHealth health = new JobsHealth(clock);

  @Test
  void isDownOnceNobodyLooksForJobsAndUpWhenSomebodyDoesAgain() {
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
    clock.pass(Duration.ofMinutes(2));
    health.onSchedulerEvent(SchedulerEventType.RAN_EXECUTE_DUE);
    clock.pass(Duration.ofMinutes(2));
    health.onSchedulerEvent(SchedulerEventType.FAILED_HEARTBEAT);
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
    clock.pass(Duration.ofMinutes(2));
    assertThat(health.health().getStatus()).isEqualTo(Status.DOWN);
    health.onSchedulerEvent(SchedulerEventType.RAN_EXECUTE_DUE);
    assertThat(health.health().getStatus()).isEqualTo(Status.UP);
  }
}
