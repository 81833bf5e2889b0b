package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EstimatesTest {
  @Test
  void few_measured_steps_suggest_nothing() {
    assertThat(Estimates.suggested(List.of(1.0, 2.0, 3.0, 4.0))).isEmpty();
    assertThatThrownBy(() -> Estimates.median(List.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void the_median_is_suggested_in_quarters_and_above_two_hours_in_halves() {
    assertThat(Estimates.suggested(List.of(1.0, 1.1, 1.2, 1.3, 40.0))).hasValue(1.25);
    assertThat(Estimates.suggested(List.of(3.0, 3.1, 3.2, 3.3, 3.4))).hasValue(3);
    assertThat(Estimates.suggested(List.of(5.6, 5.7, 5.8, 5.9, 6.0, 6.1))).hasValue(6);
    assertThat(Estimates.suggested(List.of(0.05, 0.05, 0.05, 0.05, 0.1))).hasValue(0.25);
  }

  @Test
  void one_step_that_went_wrong_and_the_order_do_not_matter() {
    Random random = new Random(4);
    for (int i = 0; i < 500; i++) {
      List<Double> hours = new ArrayList<>();
      for (int n = 0; n < 9; n++) {
        hours.add(1 + random.nextInt(12) / 4.0);
      }
      double suggested = Estimates.suggested(hours).orElseThrow();
      double largest = Collections.max(hours);
      hours.set(hours.indexOf(largest), 500.0);
      Collections.shuffle(hours, random);
      assertThat(Estimates.suggested(hours)).hasValue(suggested);
    }
  }
}
