package osmerin.app.publishing;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How an article is to be published.
 *
 * @param replaces whether the person has agreed that a page is replaced whose text Osmerin never
 *     had
 * @param reason for publishing though something on the checklist is open; null for none given
 * @param reminded whether the person has been told what is open
 * @param unattended whether nobody is there to be asked
 * @param published when it was first published, for what is brought in later; the host dates it so
 * @param remark an end for the sentence in the history
 */
public record Wish(
    boolean replaces,
    @Nullable String reason,
    boolean reminded,
    boolean unattended,
    Optional<Instant> published,
    String remark) {
  /** By hand, with nothing agreed to. */
  public static final Wish BY_HAND = byHand(false, null, false);

  /** By hand. */
  public static Wish byHand(boolean replaces, @Nullable String reason, boolean reminded) {
    return new Wish(replaces, reason, reminded, false, Optional.empty(), "");
  }

  /** By itself. */
  public static Wish unattended(Optional<Instant> published, String remark) {
    return new Wish(false, null, false, true, published, remark);
  }
}
