package osmerin.core.linkage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.linkage.NearLinkage.Part;
import osmerin.core.meaning.MadeMeaning;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.text.Language;

class NearLinkageTest {
  private static final String[] WORDS = {
    "eel", "trap", "bread", "rye", "smoke", "oven", "river", "net", "crust", "jar"
  };

  /** Against the plain definition, on thousands of small random sets. */
  @Test
  void itGivesWhatJoiningTheNearestOfAllGives() {
    int joined = 0;
    for (int seed = 0; seed < 3_000; seed++) {
      Random random = new Random(seed);
      double least = 0.3 + random.nextDouble() * 0.5;
      List<Phrase> phrases = phrases(random, 3 + random.nextInt(12));
      Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases);
      List<Part> parts = phrases.stream().map(p -> part(nearness, p, random)).toList();
      int[] found = new NearLinkage(nearness, least, parts).join();
      assertThat(found).as("seed %s of %s", seed, phrases).isEqualTo(naive(nearness, least, parts));
      joined += (int) IntStream.range(0, found.length).filter(i -> found[i] != i).count();
    }
    assertThat(joined).isGreaterThan(1_000);
  }

  private static Part part(Nearness nearness, Phrase phrase, Random random) {
    Wish wish = random.nextInt(3) > 0 ? Wish.OPEN : Wish.values()[random.nextInt(4)];
    boolean fixed = random.nextInt(5) == 0;
    Language language = random.nextInt(8) == 0 ? Language.DUTCH : Language.ENGLISH;
    return new Part(nearness.profile(phrase), fixed, EnumSet.of(wish), EnumSet.of(language));
  }

  private static int[] naive(Nearness nearness, double least, List<Part> parts) {
    List<Part> clusters = new ArrayList<>(parts);
    int[] of = IntStream.range(0, parts.size()).toArray();
    while (true) {
      int first = -1;
      int second = -1;
      long most = NearLinkage.steps(least) - 1;
      for (int a = 0; a < of.length; a++) {
        for (int b = a + 1; b < of.length; b++) {
          boolean both = of[a] == a && of[b] == b;
          if (both && clusters.get(a).mayJoin(clusters.get(b))) {
            long mean =
                NearLinkage.steps(
                    nearness.of(clusters.get(a).profile(), clusters.get(b).profile()));
            if (mean > most) {
              most = mean;
              first = a;
              second = b;
            }
          }
        }
      }
      if (first < 0) {
        return of;
      }
      clusters.set(first, clusters.get(first).plus(clusters.get(second)));
      int from = second;
      int into = first;
      of = Arrays.stream(of).map(cluster -> cluster == from ? into : cluster).toArray();
    }
  }

  @Test
  void threeThousandOfTheSameAreOne() {
    for (int n : new int[] {10, 257, 3_000}) {
      List<Phrase> phrases =
          IntStream.range(0, n).mapToObj(i -> Phrase.of("eel trap", Language.ENGLISH)).toList();
      Nearness nearness = Nearness.among(new MadeMeaning(Map.of()), phrases(new Random(1), 50));
      List<Part> parts =
          phrases.stream()
              .map(
                  p ->
                      new Part(
                          nearness.profile(p),
                          false,
                          EnumSet.of(Wish.OPEN),
                          EnumSet.of(Language.ENGLISH)))
              .toList();
      assertThat(new NearLinkage(nearness, 0.43, parts).join()).containsOnly(0);
    }
  }

  private static List<Phrase> phrases(Random random, int count) {
    List<Phrase> phrases = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      String text = WORDS[random.nextInt(WORDS.length)] + " " + WORDS[random.nextInt(WORDS.length)];
      phrases.add(Phrase.of(text, Language.ENGLISH));
    }
    return phrases;
  }
}
