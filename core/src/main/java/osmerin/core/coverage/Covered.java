package osmerin.core.coverage;

import java.util.Collection;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Demand;
import osmerin.core.keyword.MeanDifficulty;
import osmerin.core.keyword.Volume;

/**
 * A topic's demand, and how much of it is covered. Demand is in searches a month; a group whose
 * searches are unknown adds none, and makes the sum an "at least".
 *
 * @param difficulty mean of the groups' known difficulties weighted by searches, 0–100, null when
 *     none is known
 * @param live demand of the groups that a live article answers
 * @param inWork demand of the groups that only an article in work answers
 */
public record Covered(
    int groups,
    int keywords,
    Volume volume,
    boolean atLeast,
    @Nullable Double difficulty,
    long live,
    long inWork) {

  /** A group of the topic. */
  public record Part(int keywords, Demand demand, Coverage coverage) {
    private long searches() {
      return demand.searches() == null ? 0 : demand.searches();
    }
  }

  /** The sum of a topic's groups. */
  public static Covered of(Collection<Part> parts) {
    MeanDifficulty difficulty = new MeanDifficulty();
    Volume volume = Volume.exactly(0);
    for (Part part : parts) {
      Demand demand = part.demand();
      difficulty.add(demand.difficulty(), demand.searches());
      volume = demand.volume() == null ? volume : volume.plus(demand.volume());
    }
    return new Covered(
        parts.size(),
        parts.stream().mapToInt(Part::keywords).sum(),
        volume,
        parts.stream().map(Part::demand).anyMatch(d -> d.atLeast() || d.volume() == null),
        difficulty.value(),
        sum(parts, Coverage.LIVE),
        sum(parts, Coverage.IN_WORK));
  }

  private static long sum(Collection<Part> parts, Coverage coverage) {
    return parts.stream().filter(p -> p.coverage() == coverage).mapToLong(Part::searches).sum();
  }

  public long open() {
    return volume.searches() - live - inWork;
  }

  /** The share of the demand that is live, in percent; 0 where there is no demand. */
  public double livePercent() {
    return percent(live);
  }

  /** The share of the demand that is only in work, in percent. */
  public double inWorkPercent() {
    return percent(inWork);
  }

  private double percent(long part) {
    return volume.searches() == 0 ? 0 : 100.0 * part / volume.searches();
  }
}
