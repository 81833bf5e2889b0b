package osmerin.app.team;

import java.time.Instant;
import osmerin.app.site.Role;

/** An invitation that can still be taken. */
public record Invitation(
    long id,
    long siteId,
    String site,
    String slug,
    String mail,
    Role role,
    String invitedBy,
    Instant at,
    Instant expiresAt) {}
