package osmerin.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ListedTest {
  @Test
  void thingsAreReadOutAsInASentence() {
    assertThat(Listed.of(List.of())).isEmpty();
    assertThat(Listed.of(List.of("Ravi"))).isEqualTo("Ravi");
    assertThat(Listed.of(List.of("Ravi", "Tamsin"))).isEqualTo("Ravi and Tamsin");
    assertThat(Listed.of(List.of("Ravi", "Tamsin", "Odile"))).isEqualTo("Ravi, Tamsin and Odile");
  }
}
