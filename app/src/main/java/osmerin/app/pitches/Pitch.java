package osmerin.app.pitches;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A proposed article that is open.
 *
 * @param groupId the keyword group it is to answer, null when nobody has said
 */
public record Pitch(
    long id,
    String title,
    long pitcherId,
    String pitchedBy,
    Instant pitchedAt,
    int version,
    @Nullable Long groupId,
    @Nullable String groupName) {}
