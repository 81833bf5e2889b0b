package osmerin.core.worth;

import java.time.LocalDate;
import java.time.Period;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Whether an article reached page one: it stood there in the latest rankings of its first year.
 * Rankings of its first half year tell nothing yet, since it may still be on its way.
 */
public final class FirstYear {
  /** Until then an article may still be on its way. */
  private static final Period SETTLED = Period.ofMonths(6);

  private static final Period YEAR = Period.ofYears(1);
  private static final int PAGE_ONE = 10;

  private FirstYear() {}

  /**
   * Where the article's page stood for the primary keyword of its group.
   *
   * @param position from 1, null when the page was not among those that rank
   */
  public record Ranking(LocalDate on, @Nullable Integer position) {}

  /** Whether it reached page one; empty while that is not known. */
  public static Optional<Boolean> reached(LocalDate liveOn, List<Ranking> rankings) {
    return rankings.stream()
        .filter(ranking -> !ranking.on().isBefore(liveOn.plus(SETTLED)))
        .filter(ranking -> !ranking.on().isAfter(liveOn.plus(YEAR)))
        .max(Comparator.comparing(Ranking::on))
        .map(ranking -> ranking.position() != null && ranking.position() <= PAGE_ONE);
  }
}
