package osmerin.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LanguageGuessTest {
  private static final Map<Language, List<String>> PHRASES =
      Map.of(
          Language.ENGLISH,
          List.of(
              "how to paint a fence",
              "best fence paint",
              "fence paint for wood",
              "paint the shed",
              "what paint is best for a shed",
              "shed paint",
              "wood stain",
              "can you paint over stain"),
          Language.GERMAN,
          List.of(
              "zaun streichen",
              "wie streicht man einen zaun",
              "beste farbe für den zaun",
              "holzlasur kaufen",
              "gartenhaus streichen",
              "welche lasur für das gartenhaus",
              "zaunfarbe",
              "lasur auf lack"),
          Language.FRENCH,
          List.of(
              "peindre une clôture",
              "comment peindre une clôture en bois",
              "peinture pour clôture",
              "quelle peinture pour le bois",
              "lasure bois",
              "prix de la peinture pour bois"));

  @Test
  void phrasesOfOneFileInThreeLanguagesAreToldApart() {
    LanguageGuess guess = LanguageGuess.from(all(), Language.ENGLISH);
    int right = 0;
    int count = 0;
    for (Map.Entry<Language, List<String>> its : PHRASES.entrySet()) {
      for (String phrase : its.getValue()) {
        right += guess.of(phrase) == its.getKey() ? 1 : 0;
        count++;
      }
    }
    assertThat(right).isGreaterThanOrEqualTo(count - 2);
  }

  @Test
  void orderDoesNotMatter() {
    List<String> phrases = all();
    LanguageGuess once = LanguageGuess.from(phrases, Language.ENGLISH);
    List<String> shuffled = new ArrayList<>(phrases);
    Collections.shuffle(shuffled, new Random(1));
    LanguageGuess again = LanguageGuess.from(shuffled, Language.ENGLISH);
    assertThat(phrases).allSatisfy(p -> assertThat(again.of(p)).isEqualTo(once.of(p)));
  }

  @Test
  void whatNothingTellsOfIsInTheUsualLanguage() {
    assertThat(LanguageGuess.from(List.of("rot", "養蜂"), Language.DUTCH).of("rot"))
        .isEqualTo(Language.DUTCH);
    assertThat(LanguageGuess.from(List.of(), Language.ENGLISH).of("x")).isEqualTo(Language.ENGLISH);
  }

  @Test
  void tagsNameLanguages() {
    assertThat(Language.ofTag("de-AT")).contains(Language.GERMAN);
    assertThat(Language.ofTag("xx")).isEmpty();
  }

  private static List<String> all() {
    return PHRASES.values().stream().flatMap(List::stream).sorted().toList();
  }
}
