package osmerin.app.evidence;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.ReadPage;

/** A service that knows what ranks for a phrase. */
interface SearchService {
  /**
   * The pages that rank for a phrase, best first.
   *
   * @param simulated whether the service says that it made them up
   * @param about the nearest thing it knows pages about, where it knows none about the phrase
   * @param missing a sentence for each page that it named and could not be read
   */
  record Found(
      boolean simulated, @Nullable String about, List<ReadPage> pages, List<String> missing) {
    /** Nothing was asked. */
    static final Found NOTHING = new Found(false, null, List.of(), List.of());
  }

  /** Whether one is connected. */
  boolean isConnected();

  /**
   * Searches.
   *
   * @throws SearchFailedException when it does not answer as it should, or no page can be read
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
