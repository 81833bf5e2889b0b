package osmerin.core.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;

/** How much processor time work takes; the clock would count what else the machine does. */
public final class Effort {
  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  private Effort() {}

  /**
   * Runs it, again when it was slow: a first run pays for what the machine compiles.
   *
   * @param most of processor time of this thread
   */
  public static void within(Duration most, String what, Runnable work) {
    long taken = Long.MAX_VALUE;
    for (int run = 0; run < 2 && taken > most.toNanos(); run++) {
      long begun = THREADS.getCurrentThreadCpuTime();
      work.run();
      taken = THREADS.getCurrentThreadCpuTime() - begun;
    }
    assertThat(Duration.ofNanos(taken)).as(what).isLessThan(most);
  }
}
