package osmerin.app.team;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Role;

/** Somebody who works on a site. */
public record Person(
    long id,
    String login,
    String name,
    String initials,
    @Nullable String mail,
    Role role,
    Instant joinedAt) {}
