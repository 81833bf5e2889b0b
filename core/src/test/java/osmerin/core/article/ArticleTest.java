package osmerin.core.article;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ArticleTest {
  @ParameterizedTest
  @ValueSource(strings = {"MP-0158", "mp-158", "MP0158", " mp158 "})
  void referenceNumbersAreReadInEveryClothing(String written) {
    assertThat(ReferenceNumber.read(written)).contains(new ReferenceNumber("MP", 158));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "MP-", "158", "MP-0", "TOOLONGX-1", "MP-12x"})
  void whatIsNoReferenceNumberIsNone(String written) {
    assertThat(ReferenceNumber.read(written)).isEmpty();
  }

  @Test
  void writtenOutItHasAtLeastFourDigits() {
    assertThat(new ReferenceNumber("S9", 7)).hasToString("S9-0007");
    assertThat(new ReferenceNumber("MP", 123456)).hasToString("MP-123456");
    assertThatThrownBy(() -> new ReferenceNumber("mp", 1))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
