package osmerin.app.work;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Long work and how far it is.
 *
 * @param name of what is worked on, such as a file
 * @param step what is being done, in words
 * @param done of {@code total}; 0 of 0 where nothing is counted
 * @param fault why it failed, null when it did not
 * @param path of the page that shows what came of it; until it ends, of that where it was begun
 */
public record Work(
    UUID id,
    long personId,
    WorkKind kind,
    String name,
    State state,
    String step,
    long done,
    long total,
    @Nullable String fault,
    @Nullable String path,
    Instant startedAt,
    @Nullable Instant endedAt) {
  /** How it stands. */
  public enum State {
    WAITING,
    RUNNING,
    DONE,
    FAILED,
    STOPPED
  }

  public boolean isOver() {
    return state != State.WAITING && state != State.RUNNING;
  }

  public boolean isStopped() {
    return state == State.STOPPED;
  }

  /**
   * Seconds that what is counted will still take at the pace so far; null when nothing is counted
   * yet.
   */
  public @Nullable Long secondsLeft(Instant now) {
    if (done == 0 || total == 0) {
      return null;
    }
    double soFar = Duration.between(startedAt, now).toMillis() / 1_000.0;
    return Math.round(soFar * (total - done) / done);
  }
}
