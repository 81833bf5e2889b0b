package osmerin.core.text;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Guesses the language of short phrases from all phrases of one site. Stop words, question words
 * and letters of a language decide where a phrase has any. From those phrases it learns how the
 * words of each language are spelled (trigrams, naive Bayes with add-one smoothing), which decides
 * for the others. Depends on the set of phrases only, not on their order.
 */
public final class LanguageGuess {
  /** So many phrases of a language must be sure before its spelling is learned. */
  private static final int FEWEST = 3;

  /** How much a phrase's own stop words weigh beside its spelling, as a logarithm. */
  private static final double WORD = 4;

  /** A language other than the usual one must be so much likelier, as a logarithm. */
  private static final double USUAL = 1.5;

  private static final Map<Language, String> LETTERS = new EnumMap<>(Language.class);

  static {
    LETTERS.put(Language.GERMAN, "äöüß");
    LETTERS.put(Language.FRENCH, "çèêëîïûùœà");
    LETTERS.put(Language.SPANISH, "ñ¿¡");
    LETTERS.put(Language.ITALIAN, "òìùèà");
    LETTERS.put(Language.PORTUGUESE, "ãõç");
  }

  private static final Map<Language, Set<String>> TELLING = new EnumMap<>(Language.class);

  static {
    Map<Language, String> more = new EnumMap<>(Language.class);
    more.put(
        Language.ENGLISH, "how what why when where who which best buy price cheap vs not without");
    more.put(
        Language.GERMAN,
        "wie wann warum wo welche welcher welches was kaufen preis günstig ohne nicht selber machen"
            + " gegen richtig anleitung tipps rezept anfänger");
    more.put(
        Language.FRENCH,
        "comment pourquoi quand quel quelle acheter prix meilleur meilleure faire maison sans cher");
    more.put(
        Language.SPANISH,
        "cómo qué cuándo dónde cuál comprar precio mejor mejores hacer casero casera sin barato");
    more.put(
        Language.ITALIAN,
        "come cosa perché quando dove quale comprare prezzo migliore migliori fare fatto senza");
    more.put(
        Language.PORTUGUESE,
        "quando onde qual comprar preço melhor melhores fazer caseiro não sem");
    more.put(
        Language.DUTCH,
        "hoe wat waarom wanneer welke kopen prijs beste goedkoop maken zelf zonder niet tegen");
    for (Language language : Language.values()) {
      Set<String> words = new TreeSet<>(StopWords.of(language));
      words.addAll(List.of(more.get(language).split(" ")));
      TELLING.put(language, words);
    }
  }

  private final Language usual;
  private final Map<Language, Spelling> spellings = new EnumMap<>(Language.class);
  private final Map<String, double[]> votesOf = new ConcurrentHashMap<>();
  private final Map<String, double[]> scoreOf = new ConcurrentHashMap<>();

  private LanguageGuess(Language usual) {
    this.usual = usual;
  }

  /**
   * Learns from all phrases of a site.
   *
   * @param usual the language of a phrase that nothing tells of
   */
  public static LanguageGuess from(Collection<String> phrases, Language usual) {
    LanguageGuess guess = new LanguageGuess(usual);
    Map<Language, Heard> heard = new EnumMap<>(Language.class);
    for (String phrase : phrases) {
      List<String> words = Words.lower(phrase);
      Language sure = guess.sure(words);
      if (sure != null) {
        heard.computeIfAbsent(sure, language -> new Heard()).add(words);
      }
    }
    heard.forEach(
        (language, its) -> {
          if (its.phrases >= FEWEST) {
            guess.spellings.put(language, new Spelling(its.words));
          }
        });
    return guess;
  }

  /** Phrases that are surely of one language, and how often each word is in them. */
  private static final class Heard {
    private final Map<String, Integer> words = new HashMap<>();
    private int phrases;

    void add(List<String> its) {
      phrases++;
      its.forEach(word -> words.merge(word, 1, Integer::sum));
    }
  }

  /** The likeliest language of a phrase. */
  public Language of(String phrase) {
    double[] scores = new double[Language.values().length];
    boolean[] heardOf = new boolean[scores.length];
    for (String word : Words.lower(phrase)) {
      double[] its = scoreOf.computeIfAbsent(word, this::scores);
      double[] votes = votesOf.computeIfAbsent(word, LanguageGuess::votes);
      for (int i = 0; i < scores.length; i++) {
        scores[i] += its[i];
        heardOf[i] |= votes[i] > 0;
      }
    }
    Language best = usual;
    double most = scores[usual.ordinal()] + USUAL;
    for (Language language : Language.values()) {
      boolean possible = heardOf[language.ordinal()] || spellings.containsKey(language);
      if (language != usual && possible && scores[language.ordinal()] > most) {
        best = language;
        most = scores[language.ordinal()];
      }
    }
    return best;
  }

  /** What a word says for each language. */
  private double[] scores(String word) {
    double[] scores = votesOf.computeIfAbsent(word, LanguageGuess::votes).clone();
    boolean compared = spellings.containsKey(usual);
    for (Language language : Language.values()) {
      Spelling spelling = spellings.get(language);
      double spelled =
          !compared ? 0 : spelling == null ? Spelling.unknown(word) : spelling.likelihood(word);
      scores[language.ordinal()] = WORD * scores[language.ordinal()] + spelled;
    }
    return scores;
  }

  /** For each language how far the word and its letters are its own, shared ones in part. */
  private static double[] votes(String word) {
    double[] votes = new double[Language.values().length];
    vote(votes, language -> TELLING.get(language).contains(word));
    if (!word.chars().allMatch(letter -> letter < 128)) {
      vote(
          votes,
          language ->
              LETTERS.containsKey(language)
                  && LETTERS.get(language).chars().anyMatch(letter -> word.indexOf(letter) >= 0));
    }
    return votes;
  }

  private static void vote(double[] votes, Predicate<Language> own) {
    List<Language> those = Arrays.stream(Language.values()).filter(own).toList();
    those.forEach(language -> votes[language.ordinal()] += 1.0 / those.size());
  }

  /** The language that has clearly more of the votes than any other, else null. */
  private @Nullable Language sure(List<String> words) {
    double[] votes = new double[Language.values().length];
    for (String word : words) {
      double[] its = votesOf.computeIfAbsent(word, LanguageGuess::votes);
      for (int i = 0; i < votes.length; i++) {
        votes[i] += its[i];
      }
    }
    int best = 0;
    for (int i = 1; i < votes.length; i++) {
      best = votes[i] > votes[best] ? i : best;
    }
    for (int i = 0; i < votes.length; i++) {
      if (i != best && votes[best] < votes[i] + 0.5) {
        return null;
      }
    }
    return Language.values()[best];
  }

  /** How the words of one language are spelled. */
  private static final class Spelling {
    /** About so many trigrams a language has. */
    private static final int KINDS = 5_000;

    private final Map<String, Integer> counts = new HashMap<>();
    private int all;

    /**
     * @param words with how often each is met
     */
    Spelling(Map<String, Integer> words) {
      words.forEach(
          (word, times) -> {
            String framed = framed(word);
            for (int at = 0; at < word.length(); at++) {
              counts.merge(framed.substring(at, at + 3), times, Integer::sum);
              all += times;
            }
          });
    }

    double likelihood(String word) {
      String framed = framed(word);
      double sum = 0;
      for (int at = 0; at < word.length(); at++) {
        int count = counts.getOrDefault(framed.substring(at, at + 3), 0);
        sum += Math.log((count + 1.0) / (all + KINDS));
      }
      return sum;
    }

    /** Of a language of which nothing was learned. */
    static double unknown(String word) {
      return word.length() * Math.log(1.0 / KINDS);
    }

    private static String framed(String word) {
      return "_" + word + "_";
    }
  }
}
