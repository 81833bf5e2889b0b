package osmerin.app.types;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.core.evidence.WordRange;

/** How long articles of a type usually are, as history keeps it; null for nothing said. */
record KeptWords(@Nullable Integer low, @Nullable Integer high) implements Kept {
  static KeptWords of(Optional<WordRange> range) {
    return new KeptWords(
        range.map(WordRange::low).orElse(null), range.map(WordRange::high).orElse(null));
  }

  Optional<WordRange> range() {
    return low == null || high == null ? Optional.empty() : Optional.of(WordRange.of(low, high));
  }
}
