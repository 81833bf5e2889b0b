package osmerin.app.work;

import java.util.UUID;

/** Somebody stopped the work; what it did so far is not to be kept. */
public final class WorkStoppedException extends RuntimeException {
  private static final long serialVersionUID = 1;

  WorkStoppedException(UUID id) {
    super("work " + id + " was stopped");
  }
}
