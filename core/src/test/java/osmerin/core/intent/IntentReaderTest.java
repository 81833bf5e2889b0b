package osmerin.core.intent;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.text.Language;

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

  @ParameterizedTest
  @CsvSource({
    "how to smoke eel, ENGLISH, WAY",
    "best way to smoke eel, ENGLISH, WAY",
    "best smoker, ENGLISH, COMPARISON",
    "cheap smoker, ENGLISH, PURCHASE",
    "smoked eel, ENGLISH, OPEN",
    "store smoked eel, ENGLISH, OPEN",
    "eels.example, ENGLISH, PLACE",
    "wie räuchert man aal, GERMAN, WAY",
    "beste räucherofen, GERMAN, COMPARISON",
    "räucherofen kaufen, GERMAN, PURCHASE",
    "comment fumer une anguille, FRENCH, WAY",
    "acheter un fumoir, FRENCH, PURCHASE",
    "mejor ahumador, SPANISH, COMPARISON",
    "comprar ahumador, SPANISH, PURCHASE",
    "come affumicare, ITALIAN, WAY",
    "preço do defumador, PORTUGUESE, PURCHASE",
    "hoe paling roken, DUTCH, WAY",
    "rookoven kopen, DUTCH, PURCHASE",
  })
  void readsWhatIsWishedForInEveryLanguage(String phrase, Language language, Wish wish) {
    assertThat(reader.wish(phrase, language)).isEqualTo(wish);
  }

  @Test
  void oneArticleGivesNoTwoWishesButAnOpenOneBesideReading() {
    for (Wish a : Wish.values()) {
      assertThat(a.agreesWith(a)).isTrue();
      for (Wish b : Wish.values()) {
        assertThat(a.agreesWith(b)).isEqualTo(b.agreesWith(a));
      }
    }
    assertThat(Wish.OPEN.agreesWith(Wish.WAY)).isTrue();
    assertThat(Wish.OPEN.agreesWith(Wish.COMPARISON)).isTrue();
    assertThat(Wish.OPEN.agreesWith(Wish.PURCHASE)).isFalse();
    assertThat(Wish.WAY.agreesWith(Wish.COMPARISON)).isFalse();
    assertThat(Wish.PLACE.agreesWith(Wish.PURCHASE)).isFalse();
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
