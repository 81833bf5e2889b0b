package osmerin.app.rounds;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/**
 * How far publishing a round is.
 *
 * @param hour at which it is published by itself on its publish date, null for by hand
 * @param liveOn the day it went live in the site's zone
 * @param attemptedAt when publishing was last begun, null when it never was
 * @param failure why publishing failed, null when it did not
 */
public record Publication(
    @Nullable LocalTime hour,
    @Nullable Instant liveAt,
    @Nullable LocalDate liveOn,
    @Nullable Instant attemptedAt,
    @Nullable Instant failedAt,
    @Nullable String failure) {
  static final Publication NOT_BEGUN = new Publication(null, null, null, null, null, null);
}
