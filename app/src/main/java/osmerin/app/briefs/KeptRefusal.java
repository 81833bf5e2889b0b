package osmerin.app.briefs;

import java.time.Instant;
import osmerin.app.history.Kept;

/**
 * What an editor wants changed, as history keeps it.
 *
 * @param version of the brief that was refused
 * @param by the person
 */
record KeptRefusal(int version, long by, Instant at, String what) implements Kept {}
