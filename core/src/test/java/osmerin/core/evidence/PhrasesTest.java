package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.text.Stems;

class PhrasesTest {
  private final Phrases phrases = new Phrases(new Stems());

  private List<String> texts(String text) {
    return phrases.in(text).stream().map(Phrases.Phrase::text).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "smoke points, smoke-point",
    "expenses of months, month expenses",
    "rusty pan, pans of rust",
    "sticky coat, coats stick",
    "sieved flour, flour sieve"
  })
  void formsOfAPhraseHaveOneKey(String one, String other) {
    assertThat(phrases.key(one)).isPresent().isEqualTo(phrases.key(other));
  }

  @ParameterizedTest
  @CsvSource({"party, part", "county, count", "fairy, fair", "oil, oilcloth"})
  void otherWordsHaveOtherKeys(String one, String other) {
    assertThat(phrases.key(one)).isNotEqualTo(phrases.key(other));
  }

  @Test
  void partsOfSentencesAreNoPhrases() {
    assertThat(texts("half of the firing lies flat and has seen the kiln"))
        .doesNotContain("half of the firing", "lies flat has seen", "flat and has seen")
        .contains("firing", "kiln", "lies flat");
    assertThat(texts("cobalt clay cobalt clay").stream().filter(t -> t.contains(" c")).toList())
        .contains("cobalt clay")
        .doesNotContain("clay cobalt");
    assertThat(texts("Turn it upside down, then wipe off the oil."))
        .contains("upside down", "wipe off", "oil")
        .doesNotContain("down", "off", "down then wipe");
  }

  @Test
  void numbersAreNoPhraseByThemselvesAndStayWhole() {
    assertThat(texts("Fire it at 1,300 degrees, twelve hours long, in 2026."))
        .contains("1300 degrees", "twelve hours")
        .doesNotContain("300 degrees", "1300", "2026", "twelve");
  }

  @Test
  void whatATermCountsOnPagesItCountsInADraftToo() {
    assertThat(phrases.key("upside down")).isPresent();
    assertThat(phrases.key("half of the firing")).isEmpty();
    assertThat(phrases.key("")).isEmpty();
  }
}
