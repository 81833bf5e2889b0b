package osmerin.app.publishing;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where articles are published. */
interface BlogHost {
  /**
   * An article as it is sent.
   *
   * @param uid our own name for it, the same for every round
   * @param summary what a search result says of it, null where the draft has none
   * @param published when it was first published, for what is brought in later; else null
   */
  record Entry(
      String uid,
      String title,
      String html,
      @Nullable String summary,
      @Nullable Instant published) {}

  /**
   * A published article.
   *
   * @param simulated whether the host says that it only pretends
   */
  record Published(String address, boolean simulated) {}

  /** Whether one is connected. */
  boolean isConnected();

  /** The name of the host, as in its address; empty when none is connected. */
  String name();

  /**
   * Publishes a new article.
   *
   * @throws PublishingFailedException when the host refuses it, does not answer, or is not
   *     connected
   */
  Published create(Entry entry);

  /** Puts a new text at an address that is live. */
  Published update(String address, Entry entry);

  /** The address of the article with this uid, if the host has it. */
  Optional<Published> find(String uid);

  /** The text of a page as HTML, if the host has it. */
  Optional<String> text(String address);

  /** The host could not be used; the message says why, for people. */
  final class PublishingFailedException extends RuntimeException {
    private static final long serialVersionUID = 1;

    PublishingFailedException(String message) {
      super(message);
    }

    PublishingFailedException(String message, Throwable cause) {
      super(message, cause);
    }
  }
}
