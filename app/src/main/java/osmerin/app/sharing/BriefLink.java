package osmerin.app.sharing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.security.LinkDoor.State;

/**
 * The link to one brief.
 *
 * @param number of the article, {@code ordinal} of the round
 * @param whom for whom it is, as whoever made it said
 * @param withCheck whether a draft can be held against the brief
 * @param withHandIn whether a draft can be handed in
 * @param revokedAt since when it works no longer, null while it does
 * @param openings how often it was opened
 * @param openedAt when it was opened last, null for never
 */
public record BriefLink(
    long id,
    long siteId,
    int number,
    int ordinal,
    String whom,
    String token,
    boolean withCheck,
    boolean withHandIn,
    long madeBy,
    String madeByName,
    Instant expiresAt,
    @Nullable Instant revokedAt,
    int openings,
    @Nullable Instant openedAt) {
  State state(Instant now) {
    return revokedAt != null ? State.REVOKED : expiresAt.isAfter(now) ? State.WORKS : State.EXPIRED;
  }

  /** The address without the site. */
  public String path() {
    return "/by-link/brief/" + token;
  }
}
