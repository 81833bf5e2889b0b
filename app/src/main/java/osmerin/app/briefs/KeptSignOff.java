package osmerin.app.briefs;

import java.time.Instant;
import osmerin.app.history.Kept;

/**
 * A sign-off, as history keeps it.
 *
 * @param version of the brief that was signed off
 * @param by the person
 */
record KeptSignOff(int version, long by, Instant at) implements Kept {}
