package osmerin.core.worth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.worth.Calibration.Band;
import osmerin.core.worth.Calibration.Outcome;

class CalibrationTest {
  private static final SiteReach SHIPPED = SiteReach.of(25);

  @Test
  void fewOutcomesLeaveTheChancesAsShipped() {
    Calibration calibration = Calibration.of(SHIPPED, outcomes(1, 29, 60, 6));
    assertThat(calibration.fitted()).isNull();
    assertThat(calibration.bands().stream().mapToInt(Band::articles).sum()).isEqualTo(29);
  }

  @ParameterizedTest
  @CsvSource({"1, 45, 8", "2, 15, 20", "3, 60, 12", "4, 25, 12"})
  void manyOutcomesTellTheSitesOwnStrengthAndSpread(long seed, double strength, double spread) {
    List<Outcome> outcomes = outcomes(seed, 4_000, strength, spread);
    SiteReach fitted = Calibration.of(SHIPPED, outcomes).fitted();
    assertThat(fitted.strength()).isCloseTo(strength, within(2.0));
    assertThat(fitted.spread()).isCloseTo(spread, within(2.0));
    assertThat(Calibration.brier(fitted, outcomes))
        .isLessThanOrEqualTo(Calibration.brier(SHIPPED, outcomes) + 1e-4);
  }

  @Test
  void fewOutcomesMoveTheStrengthOnlyAPartOfTheWay() {
    double few = Calibration.of(SHIPPED, outcomes(5, 30, 60, 12)).fitted().strength();
    double many = Calibration.of(SHIPPED, outcomes(5, 2_000, 60, 12)).fitted().strength();
    assertThat(few).isBetween(30.0, many);
  }

  @Test
  void outcomesThatAreAllTheSameOrTheWrongWayRoundStayInRange() {
    List<Outcome> all = new ArrayList<>();
    List<Outcome> turned = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      all.add(new Outcome(i, true));
      turned.add(new Outcome(i, i > 30));
    }
    assertThat(Calibration.of(SHIPPED, all).fitted().strength()).isBetween(25.0, 100.0);
    SiteReach odd = Calibration.of(SHIPPED, turned).fitted();
    assertThat(odd.spread()).isEqualTo(60);
    assertThat(odd.strength()).isBetween(0.0, 100.0);
  }

  @Test
  void theOrderOfOutcomesDoesNotMatterAndBandsCompareChanceWithWhatHappened() {
    List<Outcome> outcomes = outcomes(6, 500, 40, 10);
    Calibration once = Calibration.of(SHIPPED, outcomes);
    Collections.shuffle(outcomes, new Random(1));
    assertThat(Calibration.of(SHIPPED, outcomes).fitted().strength())
        .isCloseTo(once.fitted().strength(), within(1e-6));
    assertThat(once.bands()).hasSize(5);
    assertThat(once.bands())
        .allSatisfy(band -> assertThat(band.happened()).isCloseTo(band.expected(), within(0.2)));
  }

  private static List<Outcome> outcomes(long seed, int count, double strength, double spread) {
    Random random = new Random(seed);
    SiteReach truth = new SiteReach(strength, spread, ClickCurve.SHIPPED);
    List<Outcome> outcomes = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double difficulty = random.nextInt(90);
      outcomes.add(new Outcome(difficulty, random.nextDouble() < truth.chance(difficulty)));
    }
    return outcomes;
  }
}
