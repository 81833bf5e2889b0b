package osmerin.app.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that stands still until time is said to pass. */
public final class MovingClock extends Clock {
  private Instant now = Instant.parse("2031-05-06T12:00:00Z");

  public void pass(Duration time) {
    now = now.plus(time);
  }

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
