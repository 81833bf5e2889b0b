package osmerin.core.group;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.MeanDifficulty;
import osmerin.core.keyword.Variants;
import osmerin.core.keyword.Volume;

/**
 * What people search for, a month: the sum of the known volumes, close variants with one figure for
 * all counted once.
 *
 * @param volume the sum, null when the primary keyword's volume is unknown
 * @param atLeast whether some volumes are unknown, so that the true sum is higher
 * @param difficulty mean of the known difficulties weighted by volume, 0–100, null when none is
 *     known
 */
public record Demand(@Nullable Volume volume, boolean atLeast, @Nullable Double difficulty) {
  /** Demand without a range. */
  public static Demand exactly(
      @Nullable Long searches, boolean atLeast, @Nullable Double difficulty) {
    return new Demand(searches == null ? null : Volume.exactly(searches), atLeast, difficulty);
  }

  /** The figure to compute with and to sort by, null when the volume is unknown. */
  public @Nullable Long searches() {
    return volume == null ? null : volume.searches();
  }

  /** Works the demand out; the first keyword is the primary one. */
  static Demand of(List<Keyword> keywords, Variants variants) {
    if (keywords.get(0).volume() == null) {
      return new Demand(null, false, difficulty(keywords));
    }
    boolean atLeast = keywords.stream().anyMatch(k -> k.volume() == null);
    return new Demand(sum(keywords, variants), atLeast, difficulty(keywords));
  }

  private static Volume sum(List<Keyword> keywords, Variants variants) {
    Map<String, List<Volume>> known = new LinkedHashMap<>();
    for (Keyword keyword : keywords) {
      if (keyword.volume() != null) {
        known.computeIfAbsent(variants.key(keyword), k -> new ArrayList<>()).add(keyword.volume());
      }
    }
    return known.values().stream().map(Variants::volume).reduce(Volume::plus).orElseThrow();
  }

  private static @Nullable Double difficulty(List<Keyword> keywords) {
    MeanDifficulty mean = new MeanDifficulty();
    for (Keyword keyword : keywords) {
      Volume volume = keyword.volume();
      mean.add(keyword.difficulty(), volume == null ? null : volume.searches());
    }
    return mean.value();
  }
}
