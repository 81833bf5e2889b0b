package osmerin.app.guests;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.security.LinkDoor.State;

/**
 * The link of one guest to one article.
 *
 * @param number of the article
 * @param withBrief whether it shows the brief
 * @param revokedAt since when it works no longer, null while it does
 * @param openedAt when it was opened last, null for never
 */
public record GuestLink(
    long id,
    long siteId,
    long personId,
    String guest,
    String mail,
    long articleId,
    int number,
    String token,
    boolean withBrief,
    Instant expiresAt,
    @Nullable Instant revokedAt,
    @Nullable Instant openedAt) {
  /** How it stands. */
  public State state(Instant now) {
    return revokedAt != null ? State.REVOKED : expiresAt.isAfter(now) ? State.WORKS : State.EXPIRED;
  }
}
