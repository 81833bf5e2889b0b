package osmerin.core.worth;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.core.worth.FirstYear.Ranking;

class FirstYearTest {
  private static final LocalDate LIVE = LocalDate.of(2025, 3, 10);

  @Test
  void theLatestRankingsOfTheFirstYearDecide() {
    assertThat(reached(at("2025-09-10", 12), at("2026-03-10", 10))).hasValue(true);
    assertThat(reached(at("2026-03-10", 11), at("2025-09-10", 1))).hasValue(false);
    assertThat(reached(at("2025-11-01", 4), at("2026-03-11", null))).hasValue(true);
    assertThat(reached(at("2025-11-01", null))).hasValue(false);
  }

  @Test
  void rankingsOfTheFirstHalfYearOrAfterTheFirstYearTellNothing() {
    assertThat(reached()).isEmpty();
    assertThat(reached(at("2025-09-09", 1), at("2026-03-11", 1))).isEmpty();
  }

  private static java.util.Optional<Boolean> reached(Ranking... rankings) {
    return FirstYear.reached(LIVE, List.of(rankings));
  }

  private static Ranking at(String day, Integer position) {
    return new Ranking(LocalDate.parse(day), position);
  }
}
