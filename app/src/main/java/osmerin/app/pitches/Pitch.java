package osmerin.app.pitches;

import java.time.Instant;

/** A proposed article that is open. */
public record Pitch(long id, String title, String pitchedBy, Instant pitchedAt) {}
