package osmerin.app.briefs;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/**
 * A sign-off, as history keeps it.
 *
 * @param version of the brief that was signed off
 * @param by the person
 * @param content the brief as it was then, as JSON; null for one of before that was kept
 */
record KeptSignOff(int version, long by, Instant at, @Nullable String content) implements Kept {}
