package osmerin.core.meaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.text.Language;

class NearnessTest {
  private static final String[] WORDS = {
    "eel", "trap", "bread", "rye", "smoke", "oven", "river", "net", "crust", "jar", "yeast", "boat"
  };

  @Test
  void thePhraseItselfIsNearestAndBothWaysAreTheSame() {
    List<Phrase> phrases = phrases(new Random(1), 40);
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    for (Phrase a : phrases) {
      double itself = nearness.of(a, a);
      for (Phrase b : phrases) {
        assertThat(nearness.of(a, b)).isLessThanOrEqualTo(itself + 1e-6);
        assertThat(nearness.of(a, b)).isCloseTo(nearness.of(b, a), within(1e-9));
      }
    }
  }

  @Test
  void wordsOfOneMeaningAreNearThoughTheyAreSpelledUnlike() {
    MadeMeaning meaning = new MadeMeaning(Map.of("loaf", "bread"));
    List<Phrase> phrases = new ArrayList<>(phrases(new Random(2), 60));
    Phrase bread = phrase("rye bread");
    Phrase loaf = phrase("rye loaf");
    Phrase boat = phrase("rye boat");
    phrases.addAll(List.of(bread, loaf, boat));
    Nearness nearness = Nearness.among(meaning, phrases);
    assertThat(nearness.of(bread, loaf)).isGreaterThan(nearness.of(bread, boat) + 0.2);
    Nearness spelled = Nearness.among(null, phrases);
    assertThat(spelled.of(bread, loaf)).isLessThan(0.9);
  }

  @Test
  void neitherOrderNorRepetitionOfTheSiteChangesAnything() {
    List<Phrase> phrases = new ArrayList<>(phrases(new Random(3), 80));
    Nearness once = Nearness.among(new MadeMeaning(Map.of()), phrases);
    Phrase a = phrases.get(3);
    Phrase b = phrases.get(7);
    Collections.shuffle(phrases, new Random(4));
    phrases.addAll(phrases.subList(0, 20));
    assertThat(Nearness.among(new MadeMeaning(Map.of()), phrases).of(a, b))
        .isEqualTo(once.of(a, b));
  }

  @Test
  void aYearChangesNothing() {
    assertThat(Phrase.of("best kiln 2026", Language.ENGLISH)).isEqualTo(phrase("best kiln"));
    assertThat(Phrase.of("1999", Language.ENGLISH).text()).isEqualTo("1999");
  }

  @Test
  void anotherLanguageIsComparedBySpellingOnly() {
    MadeMeaning meaning = new MadeMeaning(Map.of());
    Phrase german = Phrase.of("honig schleudern", Language.GERMAN);
    Phrase more = Phrase.of("honigschleuder", Language.GERMAN);
    Phrase strange = Phrase.of("beute streichen", Language.GERMAN);
    Nearness nearness = Nearness.among(meaning, List.of(german, more, strange));
    assertThat(nearness.profile(german).meaning()).isNull();
    assertThat(nearness.of(german, more)).isGreaterThan(nearness.of(german, strange));
    assertThat(meaning.asked()).isEmpty();
  }

  /** Sums of profiles give what averaging all pairs gives. */
  @ParameterizedTest
  @ValueSource(longs = {5, 6, 7, 8})
  void theMeanOfSumsIsTheMeanOfPairs(long seed) {
    Random random = new Random(seed);
    List<Phrase> phrases = phrases(random, 30);
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    List<Phrase> some = phrases.subList(0, 7);
    List<Phrase> others = phrases.subList(7, 19);
    double mean =
        some.stream()
            .flatMap(a -> others.stream().map(b -> nearness.of(a, b)))
            .mapToDouble(Double::doubleValue)
            .average()
            .orElseThrow();
    assertThat(nearness.of(sum(nearness, some), sum(nearness, others)))
        .isCloseTo(mean, within(1e-5));
  }

  /** What is found in cells is what comparing each with each finds, but for a few. */
  @Test
  void nearPairsAreThoseOfTheDefinition() {
    List<Phrase> phrases = phrases(new Random(9), 300);
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    List<Profile> profiles = phrases.stream().map(nearness::profile).toList();
    int[][] found = NearPairs.of(nearness, profiles, 0.6);
    for (int i = 0; i < found.length; i++) {
      int from = i;
      int[] near =
          IntStream.range(0, profiles.size())
              .filter(j -> j != from && nearness.of(profiles.get(from), profiles.get(j)) >= 0.6)
              .toArray();
      if (near.length <= 64) {
        assertThat(found[i]).as("of %s", phrases.get(i)).containsExactly(near);
      }
    }
  }

  @Test
  void ofManyNearlyAllNearPairsAreFound() {
    List<Phrase> phrases = phrases(new Random(10), 7_000);
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    nearness.prepare(phrases);
    List<Profile> profiles = phrases.stream().map(nearness::profile).toList();
    int[][] found = NearPairs.of(nearness, profiles, 0.7);
    int all = 0;
    int met = 0;
    for (int i = 0; i < found.length; i += 20) {
      int[] its = found[i];
      for (int j = 0; j < found.length; j++) {
        if (j != i && its.length < 60 && nearness.of(profiles.get(i), profiles.get(j)) >= 0.7) {
          all++;
          met += Arrays.binarySearch(its, j) >= 0 ? 1 : 0;
        }
      }
    }
    assertThat(all).isGreaterThan(200);
    assertThat(met).isGreaterThan((int) (0.95 * all));
  }

  /** Where meaning is not understood those are looked at that share a rare trigram. */
  @Test
  void spelledPairsAreThoseOfTheDefinition() {
    List<Phrase> phrases =
        phrases(new Random(12), 200).stream()
            .map(p -> new Phrase(p.text(), Language.DUTCH))
            .distinct()
            .toList();
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    List<Profile> profiles = phrases.stream().map(nearness::profile).toList();
    int[][] found = NearPairs.of(nearness, profiles, 0.9);
    for (int i = 0; i < found.length; i++) {
      int from = i;
      int[] near =
          IntStream.range(0, profiles.size())
              .filter(j -> j != from && nearness.of(profiles.get(from), profiles.get(j)) >= 0.9)
              .toArray();
      if (near.length <= 64 && found[i].length <= 64) {
        assertThat(found[i]).as("of %s", phrases.get(i)).containsExactly(near);
      }
    }
  }

  @Test
  void aProfileOfUnitLengthHasAProductOfOneWithItself() {
    List<Phrase> phrases = phrases(new Random(13), 20);
    Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
    Profile sum = sum(nearness, phrases).unit();
    assertThat(sum.product(sum)).isCloseTo(1, within(1e-4));
  }

  @Test
  void vectorsAreAskedForOnceAndProgressIsTold() {
    MadeMeaning made = new MadeMeaning(Map.of());
    List<Integer> told = new ArrayList<>();
    RememberedMeaning meaning = new RememberedMeaning(made, (done, all) -> told.add(done));
    List<String> texts = IntStream.range(0, 700).mapToObj(i -> "word" + i).toList();
    Map<String, float[]> first = meaning.vectors(texts);
    assertThat(told).containsExactly(256, 512, 700);
    assertThat(meaning.vectors(texts).get("word3")).isSameAs(first.get("word3"));
    assertThat(told).hasSize(3);
    assertThat(meaning.model()).isEqualTo(made.model());
  }

  private static Profile sum(Nearness nearness, List<Phrase> phrases) {
    return phrases.stream().map(nearness::profile).reduce(Profile::plus).orElseThrow();
  }

  private static Phrase phrase(String text) {
    return Phrase.of(text, Language.ENGLISH);
  }

  private static List<Phrase> phrases(Random random, int count) {
    List<Phrase> phrases = new ArrayList<>();
    while (phrases.size() < count) {
      String text =
          WORDS[random.nextInt(WORDS.length)]
              + " "
              + WORDS[random.nextInt(WORDS.length)]
              + (random.nextBoolean() ? " " + WORDS[random.nextInt(WORDS.length)] : "")
              + (count > 400 ? " q" + random.nextInt(40) + "z" : "");
      phrases.add(phrase(text));
    }
    return phrases;
  }
}
