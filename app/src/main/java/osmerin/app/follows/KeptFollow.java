package osmerin.app.follows;

import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/** What the date of a round hangs on, as history keeps it. */
record KeptFollow(
    long otherRoundId,
    @Nullable Integer workingDays,
    @Nullable Integer nth,
    @Nullable Integer weekday)
    implements Kept {
  static KeptFollow of(Follow follow) {
    return new KeptFollow(
        follow.otherRoundId(), follow.workingDays(), follow.nth(), follow.weekday());
  }

  Follow of(long roundId) {
    return new Follow(roundId, otherRoundId, workingDays, nth, weekday);
  }
}
