package osmerin.app.evidence;

import java.util.List;
import osmerin.core.evidence.ReadPage;

/** A service that knows what ranks for a phrase. */
interface SearchService {
  /**
   * The pages that rank for a phrase, best first.
   *
   * @param simulated whether the service says that it made them up
   */
  record Found(boolean simulated, List<ReadPage> pages) {}

  /** Whether one is connected. */
  boolean isConnected();

  /**
   * Searches.
   *
   * @throws SearchFailedException when it does not answer as it should
   */
  Found search(String phrase);

  /** The service could not be asked; the message says why. */
  final class SearchFailedException extends RuntimeException {
    private static final long serialVersionUID = 1;

    SearchFailedException(String message) {
      super(message);
    }
  }
}
