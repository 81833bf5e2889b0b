package osmerin.core.worth;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.core.keyword.PageAddress;
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

  @Test
  void pageOneHasTenPositions() {
    for (int position = 1; position <= 30; position++) {
      assertThat(PageOne.includes(position)).isEqualTo(position < 11);
    }
    assertThat(PageOne.includes(null)).isFalse();
  }

  @Test
  void aFileTellsAnArticlesPositionUnlessItCouldBeAnotherPagesOne() {
    LocalDate on = LIVE.plusMonths(7);
    PageAddress page = new PageAddress("garden.example/hoes");
    PageAddress other = new PageAddress("garden.example/rakes");
    assertThat(Ranking.told(on, page, 4, page)).hasValue(new Ranking(on, 4));
    assertThat(Ranking.told(on, page, 4, other)).hasValue(new Ranking(on, null));
    assertThat(Ranking.told(on, page, 4, null)).isEmpty();
    assertThat(Ranking.told(on, page, 11, null)).hasValue(new Ranking(on, 11));
    assertThat(Ranking.told(on, page, null, null)).hasValue(new Ranking(on, null));
  }

  @Test
  void amongRankingPagesTheFirstStandsAtOne() {
    PageAddress page = new PageAddress("garden.example/hoes");
    PageAddress other = new PageAddress("garden.example/rakes");
    assertThat(Ranking.among(LIVE, page, List.of(page, other)).position()).isEqualTo(1);
    assertThat(Ranking.among(LIVE, page, List.of(other, page)).position()).isEqualTo(2);
    assertThat(Ranking.among(LIVE, page, List.of(other)).position()).isNull();
  }

  private static java.util.Optional<Boolean> reached(Ranking... rankings) {
    return FirstYear.reached(LIVE, List.of(rankings));
  }

  private static Ranking at(String day, Integer position) {
    return new Ranking(LocalDate.parse(day), position);
  }
}
