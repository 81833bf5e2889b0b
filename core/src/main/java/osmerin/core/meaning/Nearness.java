package osmerin.core.meaning;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/**
 * How near phrases of one site are, about 0–1; 1 for the same phrase. Most of it is the nearness of
 * their {@linkplain Meaning meaning}, the rest that of their spelling, which knows misspellings and
 * names. Where the meaning is not understood spelling decides alone.
 *
 * <p>Both are seen against what is usual on the site: on a site about bees everything means bees.
 * So the mean of the site's vectors is taken from each before they are compared (centring, as in J.
 * Mu and P. Viswanath, "All-but-the-Top: Simple and Effective Postprocessing for Word
 * Representations", ICLR 2018), and trigrams count by their rarity. What is usual is told by a
 * sample of the site's phrases that neither order nor later phrases change much.
 */
public final class Nearness {
  /** Two phrases that are so near, in hundredths, are answered by one article. */
  public static final int DEFAULT_HUNDREDTHS = 43;

  /** The same, 0–1. */
  public static final double DEFAULT_LEAST = DEFAULT_HUNDREDTHS / 100.0;

  private static final double MEANING = 0.8;
  private static final double SPELLING = 1 - MEANING;

  /** Spelling alone reaches the same nearness at a somewhat lower likeness. */
  private static final double SPELLING_ALONE = 1.45;

  private static final int SAMPLE = 2_000;

  /** With so many phrases what is usual is half known. */
  private static final int HALF_KNOWN = 10;

  /** How much nearer meanings are that nothing usual was taken from. */
  private static final double NEARER_UNCENTRED = 0.14;

  private final @Nullable Meaning meaning;
  private final float @Nullable [] usual;
  private final double known;
  private final Map<Long, Integer> frequency = new HashMap<>();
  private final int sample;
  private final Map<Phrase, Profile> profiles = new ConcurrentHashMap<>();

  private Nearness(@Nullable Meaning meaning, Collection<Phrase> sample) {
    this.meaning = meaning;
    this.sample = sample.size();
    for (Phrase phrase : sample) {
      for (long trigram : trigrams(phrase)) {
        frequency.merge(trigram, 1, Integer::sum);
      }
    }
    Map<String, float[]> vectors = vectors(sample);
    known = vectors.size() / (double) (vectors.size() + HALF_KNOWN);
    usual = vectors.isEmpty() ? null : mean(new TreeMap<>(vectors).values(), known);
  }

  /**
   * As the phrases of a site are near.
   *
   * @param meaning null when there is none
   * @param phrases of the site, of which a sample tells what is usual
   */
  public static Nearness among(@Nullable Meaning meaning, Collection<Phrase> phrases) {
    return new Nearness(meaning, sample(phrases));
  }

  /** Those with the smallest hashes. */
  private static List<Phrase> sample(Collection<Phrase> phrases) {
    return new HashSet<>(phrases)
        .stream()
            .sorted(
                Comparator.comparingInt((Phrase phrase) -> hash(phrase.text()))
                    .thenComparing(Phrase::text)
                    .thenComparing(Phrase::language))
            .limit(SAMPLE)
            .toList();
  }

  /** The last step of MurmurHash3 (A. Appleby), so that like texts have unlike hashes. */
  private static int hash(String text) {
    int h = text.hashCode();
    h ^= h >>> 16;
    h *= 0x85ebca6b;
    h ^= h >>> 13;
    h *= 0xc2b2ae35;
    return h ^ h >>> 16;
  }

  private static float[] mean(Collection<float[]> vectors, double share) {
    double[] sum = new double[vectors.iterator().next().length];
    for (float[] vector : vectors) {
      for (int k = 0; k < sum.length; k++) {
        sum[k] += vector[k];
      }
    }
    float[] mean = new float[sum.length];
    for (int k = 0; k < mean.length; k++) {
      mean[k] = (float) (share * sum[k] / vectors.size());
    }
    return mean;
  }

  private Map<String, float[]> vectors(Collection<Phrase> phrases) {
    Set<String> texts = new LinkedHashSet<>();
    phrases.stream().filter(this::isUnderstood).forEach(phrase -> texts.add(phrase.text()));
    return meaning == null || texts.isEmpty() ? Map.of() : meaning.vectors(texts);
  }

  private boolean isUnderstood(Phrase phrase) {
    return meaning != null
        && meaning.knows(phrase.language())
        && phrase.text().codePoints().anyMatch(Nearness::isLatin);
  }

  private static boolean isLatin(int c) {
    return Character.UnicodeScript.of(c) == Character.UnicodeScript.LATIN;
  }

  /** Makes profiles of many phrases at once, which is much cheaper than one by one. */
  public void prepare(Collection<Phrase> phrases) {
    List<Phrase> missing =
        new LinkedHashSet<>(phrases).stream().filter(p -> !profiles.containsKey(p)).toList();
    Map<String, float[]> vectors = vectors(missing);
    missing.forEach(
        phrase ->
            profiles.putIfAbsent(
                phrase, profile(phrase, isUnderstood(phrase) ? vectors.get(phrase.text()) : null)));
  }

  /** The profile of a phrase. */
  public Profile profile(Phrase phrase) {
    Profile known = profiles.get(phrase);
    if (known == null) {
      prepare(List.of(phrase));
      known = Objects.requireNonNull(profiles.get(phrase));
    }
    return known;
  }

  /** How near two phrases are. */
  public double of(Phrase a, Phrase b) {
    return of(profile(a), profile(b));
  }

  /** How near two phrases are, or those of two sums are on average. */
  public double of(Profile a, Profile b) {
    return a.mean(b) - uncentred(a, b);
  }

  /** What is taken off where little is known of what is usual. */
  private double uncentred(Profile a, Profile b) {
    boolean meant = a.meaning() != null && b.meaning() != null;
    return meant ? MEANING * NEARER_UNCENTRED * (1 - known) : 0;
  }

  /**
   * The same, or something less than the least where their meaning is so far that no spelling would
   * make them so near; then spelling is not looked at.
   */
  double ofAtLeast(Profile a, Profile b, double least) {
    double pairs = (double) a.phrases() * b.phrases();
    double meant = a.meant(b) / pairs - uncentred(a, b);
    boolean understood = a.meaning() != null && b.meaning() != null;
    return understood && meant < least - SPELLING ? meant : meant + a.spelled(b) / pairs;
  }

  private Profile profile(Phrase phrase, float @Nullable [] vector) {
    long[] trigrams = trigrams(phrase);
    double share = vector == null ? SPELLING_ALONE : SPELLING;
    float[] weights = new float[trigrams.length];
    double squares = 0;
    for (int i = 0; i < weights.length; i++) {
      double rarity = Math.log(1 + (sample + 1.0) / frequency.getOrDefault(trigrams[i], 1));
      weights[i] = (float) rarity;
      squares += rarity * rarity;
    }
    double scale = squares == 0 ? 0 : Math.sqrt(share / squares);
    for (int i = 0; i < weights.length; i++) {
      weights[i] *= (float) scale;
    }
    return new Profile(vector == null ? null : centred(vector), trigrams, weights, 1);
  }

  private float[] centred(float[] vector) {
    float[] centred = vector.clone();
    double squares = 0;
    for (int k = 0; k < centred.length; k++) {
      centred[k] -= usual == null ? 0 : usual[k];
      squares += (double) centred[k] * centred[k];
    }
    float scale = squares == 0 ? 0 : (float) Math.sqrt(MEANING / squares);
    for (int k = 0; k < centred.length; k++) {
      centred[k] *= scale;
    }
    return centred;
  }

  /** Of the words that carry the subject, each framed, so that beginnings and ends count. */
  private static long[] trigrams(Phrase phrase) {
    List<String> words = Words.subject(phrase.text(), phrase.language());
    if (words.isEmpty()) {
      words = List.of(phrase.text());
    }
    Set<Long> trigrams = new HashSet<>();
    for (String word : words) {
      String framed = "_" + word + "_";
      for (int at = 0; at + 3 <= framed.length(); at++) {
        trigrams.add(
            (long) framed.charAt(at) << 32
                | (long) framed.charAt(at + 1) << 16
                | framed.charAt(at + 2));
      }
    }
    long[] sorted = trigrams.stream().mapToLong(Long::longValue).toArray();
    Arrays.sort(sorted);
    return sorted;
  }
}
