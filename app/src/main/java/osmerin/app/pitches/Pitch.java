package osmerin.app.pitches;

import java.time.Instant;

/** A proposed article that is open. */
public record Pitch(
    long id, String title, long pitcherId, String pitchedBy, Instant pitchedAt, int version) {}
