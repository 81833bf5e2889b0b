package osmerin.core.intent;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntentReaderTest {
  private final IntentReader reader = new IntentReader();

  @ParameterizedTest
  @CsvSource({
    "how to glaze pots, INFORMATIONAL, AWARENESS",
    "buy kiln shelves, TRANSACTIONAL, DECISION",
    "how to price pottery, INFORMATIONAL, AWARENESS",
    "best wheel for small rooms, COMMERCIAL, CONSIDERATION",
    "oak vs ash glaze, COMMERCIAL, CONSIDERATION",
    "how to fix glaze crawling, INFORMATIONAL, CONSIDERATION",
    "claybarn login, NAVIGATIONAL, DECISION",
    "claybarn.example, NAVIGATIONAL, DECISION",
    "celadon, INFORMATIONAL, AWARENESS",
  })
  void readsTheWords(String phrase, SearchIntent intent, FunnelStage stage) {
    IntentReading reading = reader.read(phrase, null);
    assertThat(reading.intent()).isEqualTo(intent);
    assertThat(reading.stage()).isEqualTo(stage);
    assertThat(reading.reason()).isNotBlank();
  }

  @Test
  void whatTheImportSaysWins() {
    assertThat(reader.read("buy clay", SearchIntent.INFORMATIONAL).intent())
        .isEqualTo(SearchIntent.INFORMATIONAL);
  }

  @Test
  void mostOfTheDemandDecides() {
    assertThat(reader.mostOf(Map.of(SearchIntent.COMMERCIAL, 90L, SearchIntent.INFORMATIONAL, 40L)))
        .isEqualTo(SearchIntent.COMMERCIAL);
    assertThat(reader.mostOf(Map.of(SearchIntent.COMMERCIAL, 40L, SearchIntent.INFORMATIONAL, 40L)))
        .isEqualTo(SearchIntent.INFORMATIONAL);
  }

  @Test
  void readersAndBuyersAreOpposite() {
    assertThat(SearchIntent.INFORMATIONAL.isOpposite(SearchIntent.TRANSACTIONAL)).isTrue();
    assertThat(SearchIntent.COMMERCIAL.isOpposite(SearchIntent.TRANSACTIONAL)).isFalse();
    assertThat(SearchIntent.NAVIGATIONAL.isOpposite(SearchIntent.COMMERCIAL)).isTrue();
  }
}
