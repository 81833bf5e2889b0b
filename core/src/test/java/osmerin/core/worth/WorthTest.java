package osmerin.core.worth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.Demand;

class WorthTest {
  private static final double CLOSE = 1e-9;

  @ParameterizedTest
  @ValueSource(doubles = {0, 17, 50, 100})
  void equalDifficultyAndStrengthGiveHalfAChanceAtAnyLevel(double level) {
    assertThat(SiteReach.of(level).chance(level)).isEqualTo(0.5);
  }

  @Test
  void theSumByHand() {
    Worth worth = Worth.of(demand(1000L, 40.0), SiteReach.of(40), 8);
    // Position 5.5 lies between the shares of 5 and 6.
    double share = 0.28 * (Math.pow(5, -1.1) + Math.pow(6, -1.1)) / 2;
    assertThat(worth.position()).isEqualTo(5.5);
    assertThat(worth.clickShare()).isCloseTo(share, within(CLOSE));
    assertThat(worth.visits()).isCloseTo(0.5 * 1000 * share, within(CLOSE));
    assertThat(worth.yield()).isCloseTo(12 * 0.5 * 1000 * share / 8, within(CLOSE));
    assertThat(worth.value(0.4)).isCloseTo(worth.yield() * 0.4, within(CLOSE));
  }

  @Test
  void anEasierKeywordIsNeverWorthLess() {
    Random random = new Random(3);
    for (int i = 0; i < 300; i++) {
      double difficulty = random.nextInt(99);
      SiteReach site = SiteReach.of(random.nextInt(101));
      Worth easier = Worth.of(demand(500L, difficulty), site, 5);
      Worth harder = Worth.of(demand(500L, difficulty + 1), site, 5);
      assertThat(easier.visits()).isGreaterThan(harder.visits());
      assertThat(easier.weeks().low()).isLessThanOrEqualTo(harder.weeks().low());
      assertThat(easier.chance()).isBetween(0.0, 1.0);
      assertThat(Worth.of(demand(500L, difficulty), site.at(100), 5).visits())
          .isGreaterThanOrEqualTo(easier.visits());
    }
  }

  @Test
  void whatIsUnknownIsNeverZero() {
    Worth noVolume = Worth.of(demand(null, 40.0), SiteReach.of(30), 8);
    assertThat(noVolume.chance()).isNotNull();
    assertThat(noVolume.visits()).isNull();
    assertThat(noVolume.yield()).isNull();
    Worth noDifficulty = Worth.of(demand(1000L, null), SiteReach.of(30), 8);
    assertThat(noDifficulty.chance()).isNull();
    assertThat(noDifficulty.weeks()).isNull();
    assertThat(noDifficulty.visits()).isNull();
    assertThat(noDifficulty.value(1.0)).isNull();
    assertThat(Worth.of(demand(1000L, 5.0), SiteReach.of(30), 8).value(null)).isNull();
  }

  @Test
  void aPositionOfChoiceCountsAsReached() {
    Worth first = Worth.atPosition(demand(1000L, null), SiteReach.of(30), 4, 1);
    assertThat(first.visits()).isCloseTo(280, within(CLOSE));
    assertThat(first.yield()).isCloseTo(840, within(CLOSE));
  }

  @ParameterizedTest
  @CsvSource({
    "10, 40, 2, 6",
    "11, 40, 4, 10",
    "30, 40, 4, 10",
    "31, 40, 8, 20",
    "50, 40, 8, 20",
    "51, 40, 16, 40",
    "70, 40, 16, 40",
    "71, 40, 32, 80"
  })
  void weeksFollowTheGap(double difficulty, double strength, int low, int high) {
    assertThat(SiteReach.of(strength).weeks(difficulty)).isEqualTo(new Weeks(low, high));
  }

  @Test
  void theClickCurveIsReadBetweenPositionsAndFalls() {
    assertThat(ClickCurve.SHIPPED.share(1)).isEqualTo(0.28);
    assertThat(ClickCurve.SHIPPED.share(10)).isCloseTo(0.28 * Math.pow(10, -1.1), within(CLOSE));
    for (double p = 1; p < 9.9; p += 0.1) {
      assertThat(ClickCurve.SHIPPED.share(p)).isGreaterThan(ClickCurve.SHIPPED.share(p + 0.1));
    }
    ClickCurve own = new ClickCurve(Map.of(2, 0.2));
    assertThat(own.share(2)).isEqualTo(0.2);
    assertThat(own.share(1.5)).isCloseTo(0.24, within(CLOSE));
    assertThat(own.share(3)).isEqualTo(ClickCurve.SHIPPED.share(3));
  }

  @Test
  void nonsenseIsRefused() {
    assertThatThrownBy(() -> SiteReach.of(101)).hasMessageContaining("101");
    assertThatThrownBy(() -> SiteReach.of(Double.NaN)).hasMessageContaining("NaN");
    assertThatThrownBy(() -> new Chances(10, 0)).hasMessageContaining("spread 0");
    assertThatThrownBy(() -> new Chances(Double.NaN, 12)).hasMessageContaining("NaN");
    assertThatThrownBy(() -> Worth.of(demand(1L, 1.0), SiteReach.of(1), 0))
        .hasMessageContaining("hours");
    assertThatThrownBy(() -> ClickCurve.SHIPPED.share(10.5)).hasMessageContaining("10.5");
    assertThatThrownBy(() -> new ClickCurve(Map.of(11, 0.1))).hasMessageContaining("11");
    assertThatThrownBy(() -> new ClickCurve(Map.of(1, 1.1))).hasMessageContaining("1.1");
    assertThatThrownBy(() -> new Weeks(5, 4)).hasMessageContaining("5 to 4");
  }

  private static Demand demand(@Nullable Long searches, @Nullable Double difficulty) {
    return Demand.exactly(searches, false, difficulty);
  }
}
