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
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.worth.Calibration.Band;
import osmerin.core.worth.Calibration.Judged;

class CalibrationTest {
  @Test
  void fewOutcomesLeaveTheChancesAsShipped() {
    Calibration calibration = Calibration.of(25, outcomes(1, 29, 30, 6));
    assertThat(calibration.learned()).isNull();
    assertThat(calibration.outcomes()).isEqualTo(29);
    assertThat(articles(calibration.shipped())).isEqualTo(29);
  }

  @Test
  void threeOfEachAreNeeded() {
    assertThat(Calibration.of(25, reached(200, 2)).learned()).isNull();
    assertThat(Calibration.of(25, reached(200, 3)).learned()).isNotNull();
    assertThat(Calibration.of(25, reached(200, 198)).learned()).isNull();
    assertThat(Calibration.of(25, reached(200, 197)).learned()).isNotNull();
  }

  /** A clamp once moved a mean of 0.085 to 0.32. */
  @ParameterizedTest
  @ValueSource(ints = {3, 17, 100, 183, 197})
  void theMeanChanceIsTheShareThatReached(int reached) {
    List<Outcome> outcomes = reached(200, reached);
    Chances learned = Calibration.of(60, outcomes).learned().chances();
    assertThat(outcomes.stream().mapToDouble(o -> learned.at(o.difficulty())).average().orElse(0))
        .isCloseTo(reached / 200.0, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theMeanChanceIsTheShareThatReachedOnAnySite(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 100; i++) {
      List<Outcome> outcomes =
          outcomes(
              random.nextLong(),
              30 + random.nextInt(200),
              random.nextInt(140) - 20,
              1 + random.nextInt(70));
      Judged learned = Calibration.of(random.nextInt(101), outcomes).learned();
      if (learned != null) {
        double share =
            outcomes.stream().filter(Outcome::reached).count() / (double) outcomes.size();
        assertThat(
                outcomes.stream()
                    .mapToDouble(o -> learned.chances().at(o.difficulty()))
                    .average()
                    .orElse(0))
            .isCloseTo(share, within(1e-9));
        assertThat(learned.chances().spread())
            .isBetween(LearnedChances.LEAST_SPREAD, LearnedChances.MOST_SPREAD);
      }
    }
  }

  /** Four standard errors, from the information of the outcomes at the true curve. */
  @ParameterizedTest
  @CsvSource({"1, 45, 8", "2, 15, 20", "3, 60, 12", "4, 25, 12", "5, 5, 10", "6, 80, 15"})
  void aSiteGetsItsTrueCurveBackWithinItsError(long seed, double even, double spread) {
    List<Outcome> outcomes = outcomes(seed, 4_000, even, spread);
    Chances learned = Calibration.of(25, outcomes).learned().chances();
    double slope = -10 / spread;
    double mean = outcomes.stream().mapToDouble(Outcome::difficulty).average().orElseThrow();
    double intercept = (even - mean) / spread;
    double[] error = errors(outcomes, mean, intercept, slope);
    double pull = LearnedChances.WEIGHT * 0.25 * Math.abs(slope + 10.0 / 12) * error[1] * error[1];
    assertThat(-10 / learned.spread()).isCloseTo(slope, within(4 * error[1] + pull));
    assertThat((learned.even() - mean) / learned.spread())
        .isCloseTo(intercept, within(4 * error[0] + pull));
  }

  /** Against the plain definition: no slope near the learned one has a smaller penalised loss. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void theLearnedSlopeIsWhereTheLossIsLeast(long seed) {
    Random random = new Random(seed);
    int inside = 0;
    for (int i = 0; i < 60; i++) {
      List<Outcome> outcomes =
          outcomes(random.nextLong(), 30 + random.nextInt(120), random.nextInt(90), 4 + i % 30);
      Judged learned = Calibration.of(random.nextInt(101), outcomes).learned();
      double spread = learned == null ? 0 : learned.chances().spread();
      if (spread > LearnedChances.LEAST_SPREAD && spread < LearnedChances.MOST_SPREAD) {
        inside++;
        double slope = -10 / spread;
        double least = leastLoss(outcomes, slope);
        assertThat(leastLoss(outcomes, slope * 1.001)).isGreaterThan(least);
        assertThat(leastLoss(outcomes, slope * 0.999)).isGreaterThan(least);
      }
    }
    assertThat(inside).isGreaterThan(40);
  }

  /** The loss under a slope a ten, with the intercept that makes it least. */
  private static double leastLoss(List<Outcome> outcomes, double slope) {
    double low = -60;
    double high = 60;
    while (high - low > 1e-9) {
      double third = (high - low) / 3;
      if (loss(outcomes, low + third, slope) < loss(outcomes, high - third, slope)) {
        high -= third;
      } else {
        low += third;
      }
    }
    return loss(outcomes, low, slope);
  }

  private static double loss(List<Outcome> outcomes, double intercept, double slope) {
    double off = slope + 10 / Chances.SHIPPED_SPREAD;
    double loss = LearnedChances.WEIGHT * 0.25 / 2 * off * off;
    for (Outcome outcome : outcomes) {
      double chance = 1 / (1 + Math.exp(-(intercept + slope * outcome.difficulty() / 10)));
      loss -= Math.log(outcome.reached() ? chance : 1 - chance);
    }
    return loss;
  }

  /** Standard errors of intercept and slope a ten. */
  private static double[] errors(List<Outcome> outcomes, double mean, double a, double b) {
    double haa = 0;
    double hab = 0;
    double hbb = 0;
    for (Outcome outcome : outcomes) {
      double x = (outcome.difficulty() - mean) / 10;
      double p = 1 / (1 + Math.exp(-(a + b * x)));
      haa += p * (1 - p);
      hab += p * (1 - p) * x;
      hbb += p * (1 - p) * x * x;
    }
    double det = haa * hbb - hab * hab;
    return new double[] {Math.sqrt(hbb / det), Math.sqrt(haa / det)};
  }

  /** The penalty and so many outcomes, half of them on page one, tell as much of the slope. */
  @Test
  void theShippedSlopeWeighsAsMuchAsItSays() {
    List<Outcome> flat = new ArrayList<>();
    for (int i = 0; i < LearnedChances.WEIGHT; i++) {
      flat.add(new Outcome(i, i % 2 == 0 ? 40 : 60, i / 2 % 2 == 0));
    }
    double slope = -10 / LearnedChances.of(flat).spread();
    // Near 0, where the outcomes alone would put it, loss is all but quadratic: half of the way.
    assertThat(slope).isCloseTo(-10.0 / 12 / 2, within(0.02));
  }

  @Test
  void fewOutcomesMoveTheSlopeOnlyAPartOfTheWay() {
    double few = Calibration.of(25, outcomes(5, 40, 40, 40)).learned().chances().spread();
    double many = Calibration.of(25, outcomes(5, 4_000, 40, 40)).learned().chances().spread();
    assertThat(few).isBetween(12.0, many);
  }

  @Test
  void chancesThatRiseWithDifficultyAreHeldFlat() {
    List<Outcome> turned = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      turned.add(new Outcome(i, i, i > 30));
    }
    assertThat(Calibration.of(25, turned).learned().chances().spread())
        .isEqualTo(LearnedChances.MOST_SPREAD);
  }

  @Test
  void whatIsLearnedDependsOnNoOrderAndOnNoStrength() {
    List<Outcome> outcomes = outcomes(6, 500, 40, 10);
    Chances once = Calibration.of(25, outcomes).learned().chances();
    Collections.shuffle(outcomes, new Random(1));
    assertThat(Calibration.of(80, outcomes).learned().chances()).isEqualTo(once);
  }

  /** Each article is judged by chances learned from the articles of the other folds. */
  @Test
  void judgedIsWhatWasNotLearnedFrom() {
    List<Outcome> outcomes = new ArrayList<>(outcomes(9, 90, 40, 12));
    outcomes.replaceAll(o -> new Outcome(1 + o.article() % 9, o.difficulty(), o.reached()));
    Judged before = Calibration.of(40, outcomes).learned();
    // An article of a fold of its own, told either way, is said to have the same chance.
    double reached = lonelyChance(outcomes, true);
    double not = lonelyChance(outcomes, false);
    assertThat(reached).isCloseTo(not, within(1e-9));
    assertThat(before.brier()).isBetween(0.0, 0.25);
  }

  /** From the two Brier scores alone: what the lonely article adds to the sum of squares. */
  private static double lonelyChance(List<Outcome> others, boolean reached) {
    List<Outcome> all = new ArrayList<>(others);
    all.add(new Outcome(10, 30, reached));
    Chances without = LearnedChances.of(others);
    double rest = 0;
    for (int fold = 1; fold <= 9; fold++) {
      int its = fold;
      List<Outcome> apart = all.stream().filter(o -> o.article() % 10 != its).toList();
      Chances chances = LearnedChances.of(apart);
      rest +=
          others.stream()
              .filter(o -> o.article() == its)
              .mapToDouble(o -> Math.pow(chances.at(o.difficulty()) - (o.reached() ? 1 : 0), 2))
              .sum();
    }
    double added = Calibration.of(40, all).learned().brier() * all.size() - rest;
    double chance = reached ? 1 - Math.sqrt(added) : Math.sqrt(added);
    assertThat(chance).isCloseTo(without.at(30), within(1e-9));
    return chance;
  }

  @Test
  void bandsCompareChanceWithWhatHappened() {
    Calibration calibration = Calibration.of(25, outcomes(6, 2_000, 40, 10));
    assertThat(articles(calibration.learned())).isEqualTo(2_000);
    assertThat(calibration.learned().bands()).hasSize(7);
    assertThat(calibration.learned().bands())
        .allSatisfy(band -> assertThat(band.happened()).isCloseTo(band.expected(), within(0.12)));
    assertThat(calibration.learned().brier()).isLessThan(calibration.shipped().brier());
  }

  private static int articles(Judged judged) {
    return judged.bands().stream().mapToInt(Band::articles).sum();
  }

  /** The easiest reached, with some noise by number. */
  private static List<Outcome> reached(int count, int reached) {
    List<Outcome> outcomes = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      outcomes.add(new Outcome(i * 7, 10 + 80.0 * i / count + i % 5, i < reached));
    }
    return outcomes;
  }

  private static List<Outcome> outcomes(long seed, int count, double even, double spread) {
    Random random = new Random(seed);
    Chances truth = new Chances(even, spread);
    List<Outcome> outcomes = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double difficulty = random.nextInt(90);
      outcomes.add(new Outcome(i, difficulty, random.nextDouble() < truth.at(difficulty)));
    }
    return outcomes;
  }
}
