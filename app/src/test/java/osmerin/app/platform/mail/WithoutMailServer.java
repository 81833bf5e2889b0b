package osmerin.app.platform.mail;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import java.time.Clock;
import org.springframework.core.env.StandardEnvironment;

/** Mail as it is where no mail server is set up. */
public final class WithoutMailServer {
  private WithoutMailServer() {}

  public static Post post(SchedulerClient jobs) {
    return new Post(jobs, "", "", new PublicAddress(new StandardEnvironment()), Clock.systemUTC());
  }
}
