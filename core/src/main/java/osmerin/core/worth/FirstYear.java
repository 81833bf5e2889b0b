package osmerin.core.worth;

import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.PageAddress;

/**
 * Whether an article reached page one: it stood there in the latest rankings of its first year.
 * Rankings of its first half year tell nothing yet, since it may still be on its way.
 */
public final class FirstYear {
  /** Until then an article may still be on its way. */
  public static final Period SETTLED = Period.ofMonths(6);

  private static final Period YEAR = Period.ofYears(1);

  private FirstYear() {}

  /**
   * Where the article's page stood for the primary keyword of its group.
   *
   * @param position from 1, null when the page was not among those that rank
   */
  public record Ranking(LocalDate on, @Nullable Integer position) {
    /** As the pages that rank tell it, the best first. */
    public static Ranking among(LocalDate on, PageAddress page, List<PageAddress> ranking) {
      int at = ranking.indexOf(page);
      return new Ranking(on, at < 0 ? null : at + 1);
    }

    /**
     * As a file tells it that names the site's own position; empty where that could be another
     * page's.
     *
     * @param position of the site's best page, null when none of its pages ranks
     * @param its that page, null when the file does not name it
     */
    public static Optional<Ranking> told(
        LocalDate on, PageAddress page, @Nullable Integer position, @Nullable PageAddress its) {
      if (!PageOne.includes(position) || page.equals(its)) {
        return Optional.of(new Ranking(on, position));
      }
      return its == null ? Optional.empty() : Optional.of(new Ranking(on, null));
    }
  }

  /**
   * Whether it reached page one; empty while that is not known.
   *
   * @param rankings of those of one day the last counts
   */
  public static Optional<Boolean> reached(LocalDate liveOn, List<Ranking> rankings) {
    return rankings.stream()
        .filter(ranking -> !ranking.on().isBefore(liveOn.plus(SETTLED)))
        .filter(ranking -> !ranking.on().isAfter(liveOn.plus(YEAR)))
        .reduce((before, next) -> next.on().isBefore(before.on()) ? before : next)
        .map(ranking -> PageOne.includes(ranking.position()));
  }
}
