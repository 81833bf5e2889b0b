package osmerin.app.holds;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.app.rounds.Hold;

/** Why an article is on hold, as history keeps it. */
record KeptHold(String reason, LocalDate since, @Nullable Long freeBy, @Nullable LocalDate until)
    implements Kept {
  static @Nullable KeptHold of(@Nullable Hold hold) {
    return hold == null
        ? null
        : new KeptHold(hold.reason(), hold.since(), hold.freeBy(), hold.until());
  }

  Hold hold() {
    return new Hold(reason, since, freeBy, until);
  }
}
