package osmerin.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TextTest {
  private final Stems stems = new Stems();

  @Test
  void wordsKeepApostrophesHyphensAndDecimalPointsInside() {
    assertThat(Words.of("The potter's low-fire kiln: 1.5 kW, isn't it?"))
        .containsExactly("The", "potter's", "low-fire", "kiln", "1.5", "kW", "isn't", "it");
    assertThat(Words.of(" … — ")).isEmpty();
    assertThat(Words.of("café 陶芸 ñu")).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({"'one two three', 3", "'', 0", "'a-b c', 2", "'1,300 pots', 3"})
  void wordsAreCounted(String text, int count) {
    assertThat(Words.count(text)).isEqualTo(count);
  }

  @ParameterizedTest
  @CsvSource({
    "glazes, glazing",
    "throw, throwing",
    "pot, pots",
    "potter's, potter",
    "firing, fires",
    "handle, handles",
    "cracked, cracks"
  })
  void formsOfOneWordHaveOneStem(String one, String other) {
    assertThat(stems.of(one)).isEqualTo(stems.of(other));
  }

  @ParameterizedTest
  @CsvSource({"clay, claim", "kiln, kill", "glaze, glass", "slip, slab"})
  void differentWordsHaveDifferentStems(String one, String other) {
    assertThat(stems.of(one)).isNotEqualTo(stems.of(other));
  }

  @Test
  void theSubjectLeavesStopWordsOutUnlessThereIsNothingElse() {
    assertThat(stems.subject("the clay for the wheel")).containsExactly("clay", "wheel");
    assertThat(stems.subject("to be")).isNotEmpty();
    assertThat(stems.subject("")).isEmpty();
    assertThat(stems.subject("firing without a kiln")).contains("without");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "firing schedule | A firing schedule you can repeat | MET",
        "firing schedule | Schedules of firing | PARTLY",
        "firing schedule | Firing the schedule | MET",
        "firing schedule | Firing at night | NOT_MET",
        "clay for throwing | Clays to throw | MET",
        "clay for throwing | Throwing is not for clay | PARTLY",
      })
  void aPhraseIsFoundByItsSubjectWordsInOrder(String phrase, String text, Verdict verdict) {
    assertThat(new PhraseMatch(phrase, stems).in(text)).isEqualTo(verdict);
  }

  @Test
  void usesDoNotOverlap() {
    PhraseMatch match = new PhraseMatch("wheel wheel", stems);
    assertThat(match.uses(stems.all("wheel wheel wheel wheel"))).isEqualTo(2);
    assertThat(match.uses(List.of())).isZero();
  }

  @Test
  void oneThingIsCountedInTheSingular() {
    assertThat(Counted.of(1, "article")).isEqualTo("1 article");
    assertThat(Counted.of(0, "article")).isEqualTo("0 articles");
    assertThat(Counted.of(1200, "article")).isEqualTo("1,200 articles");
    assertThat(Counted.of(2, "more is", "more are")).isEqualTo("2 more are");
  }

  /** The pattern says what a word is; the code only finds it faster. */
  @Test
  void wordsAreWhatTheirPatternSays() {
    Pattern word = Pattern.compile("[\\p{L}\\p{N}]+(?:['’.-][\\p{L}\\p{N}]+)*");
    String[] parts = {
      "a", "Bc", "9", "½", "Ⅷ", "é", "e\u0301", "陶", "\uD801\uDC00", "\uD83D\uDE00"
    };
    String[] signs = {"'", "’", ".", "-", " ", "--", "_", "…", "\uD83D", "\t"};
    Random random = new Random(11);
    for (int round = 0; round < 5_000; round++) {
      StringBuilder text = new StringBuilder();
      for (int i = random.nextInt(9); i >= 0; i--) {
        String[] from = random.nextInt(3) == 0 ? signs : parts;
        text.append(from[random.nextInt(from.length)]);
      }
      List<String> expected =
          word.matcher(text).results().map(MatchResult::group).collect(Collectors.toList());
      assertThat(Words.of(text.toString())).as("words of “%s”", text).isEqualTo(expected);
      assertThat(Words.count(text.toString())).isEqualTo(expected.size());
    }
  }

  @Test
  void eachLanguageHasItsStemsAndStopWords() {
    assertThat(stems.subject("die kaffeemühlen", Language.GERMAN))
        .isEqualTo(stems.subject("kaffeemühle", Language.GERMAN));
    assertThat(stems.subject("les moulins à café", Language.FRENCH))
        .isEqualTo(stems.subject("moulin café", Language.FRENCH));
    assertThat(StopWords.contains("der", Language.GERMAN)).isTrue();
    assertThat(StopWords.contains("der", Language.ENGLISH)).isFalse();
  }

  @Test
  void whatChangesTheQuestionIsNoStopWordInAnyLanguage() {
    assertThat(StopWords.contains("wie", Language.GERMAN)).isFalse();
    assertThat(StopWords.contains("nicht", Language.GERMAN)).isFalse();
    assertThat(StopWords.contains("comment", Language.FRENCH)).isFalse();
    assertThat(StopWords.contains("sin", Language.SPANISH)).isFalse();
    assertThat(StopWords.contains("non", Language.ITALIAN)).isFalse();
    assertThat(StopWords.contains("não", Language.PORTUGUESE)).isFalse();
    assertThat(StopWords.contains("niet", Language.DUTCH)).isFalse();
  }

  @Test
  void aYearIsNoPartOfTheSubjectUnlessThereIsNothingElse() {
    assertThat(stems.subject("best kiln 2026")).isEqualTo(stems.subject("best kiln"));
    assertThat(stems.subject("1984")).containsExactly("1984");
    assertThat(Words.isYear("2100")).isFalse();
    assertThat(Words.isYear("19x4")).isFalse();
  }

  @Test
  @Timeout(10)
  void aPhraseWithoutWordsStandsInNoText() {
    PhraseMatch match = new PhraseMatch("…!", new Stems());
    assertThat(match.in("some words")).isEqualTo(Verdict.NOT_MET);
    assertThat(match.uses(List.of("some", "word"))).isZero();
  }
}
