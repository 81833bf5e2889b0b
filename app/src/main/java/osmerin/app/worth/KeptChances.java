package osmerin.app.worth;

import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.core.worth.Chances;

/** Learned chances, as history keeps them; none for those as shipped. */
record KeptChances(double even, double spread) implements Kept {
  static @Nullable KeptChances of(@Nullable Chances chances) {
    return chances == null ? null : new KeptChances(chances.even(), chances.spread());
  }

  static @Nullable Chances chances(@Nullable KeptChances kept) {
    return kept == null ? null : new Chances(kept.even(), kept.spread());
  }
}
