package osmerin.core.topic;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.intent.IntentReader;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Phrase;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * Names topics by the phrase of one to three words that stands in most of the topic's demand and in
 * little else and that means what the topic means, written the way most of its keywords write it. A
 * word that only ever stands before another one ("large" of "large planters") is no name.
 */
final class TopicName {
  private static final int MOST_WORDS = 3;

  /** A phrase says more than one of its words alone; the bonus by its number of words. */
  private static final double[] BONUS = {0, 1, 1.4, 1.5};

  /** So many of the best phrases are asked for their meaning. */
  private static final int ASKED = 12;

  /** What a phrase scores that means nothing of the topic, in part of one that means all of it. */
  private static final double MEANS_NOTHING = 0.3;

  /** So many keywords of a group tell which words it has, and where they stand. */
  private static final int TELLING = 8;

  /** A word with another one after it nearly everywhere names nothing. */
  private static final double HARDLY_EVER = 0.04;

  /** One that is complete in so many of its places loses nothing. */
  private static final double OFTEN_ENOUGH = 0.2;

  /** In these the last word of a phrase says what it is about, the others which of it. */
  private static final Set<Language> LAST_WORD_RULES =
      Set.of(Language.ENGLISH, Language.GERMAN, Language.DUTCH);

  private static final Set<String> NO_NAMES =
      Set.of(
          ("make making use using not without get good need much long"
                  + " home first cost after before between difference new old free vs")
              .split(" "));

  private final Stems stems;
  private final List<KeywordGroup> groups;

  /** For each group what {@link #phrases} finds in each of its keywords. */
  private final List<List<Map<String, String>>> phrases;

  private final @Nullable GroupSense sense;
  private final Map<String, Double> demandEverywhere = new HashMap<>();
  private final Map<String, int[]> places = new HashMap<>();

  /**
   * @param sense null where there is no meaning
   */
  TopicName(Stems stems, List<KeywordGroup> all, @Nullable GroupSense sense) {
    this.stems = stems;
    this.groups = all;
    this.sense = sense;
    phrases =
        all.parallelStream()
            .map(group -> group.members().stream().map(m -> phrases(m.keyword())).toList())
            .toList();
    for (int i = 0; i < all.size(); i++) {
      KeywordGroup group = all.get(i);
      addDemand(i, demandEverywhere);
      group.members().stream().limit(TELLING).forEach(member -> countPlaces(member.keyword()));
    }
  }

  /** The demand of a group for each phrase, as far as its keywords have it. */
  private void addDemand(int group, Map<String, Double> demand) {
    List<Map<String, String>> telling = phrases.get(group).stream().limit(TELLING).toList();
    double each = weight(groups.get(group)) / telling.size();
    for (Map<String, String> its : telling) {
      its.keySet().forEach(phrase -> demand.merge(phrase, each, Double::sum));
    }
  }

  /**
   * The best name that is not taken yet.
   *
   * @param topic the numbers of its groups
   */
  String of(List<Integer> topic, Set<String> taken) {
    List<KeywordGroup> its = topic.stream().map(groups::get).toList();
    Map<String, Double> here = new HashMap<>();
    topic.forEach(group -> addDemand(group, here));
    double all = its.stream().mapToDouble(TopicName::weight).sum();
    Map<String, String> spellings = spellings(topic, here.keySet());
    Map<String, Double> scores = new HashMap<>();
    here.keySet().stream()
        .filter(phrase -> complete(phrase) >= HARDLY_EVER)
        .forEach(phrase -> scores.put(phrase, score(phrase, here.get(phrase), all)));
    Language language = its.get(0).primary().language();
    best(scores).stream()
        .limit(ASKED)
        .forEach(
            phrase ->
                scores.computeIfPresent(
                    phrase, (p, score) -> score * meant(spellings.get(phrase), language, topic)));
    return best(scores).stream()
        .map(phrase -> capitalised(spellings.get(phrase)))
        .filter(name -> !taken.contains(name))
        .findFirst()
        .orElseGet(() -> unused(capitalised(its.get(0).primary().text()), taken));
  }

  private static List<String> best(Map<String, Double> scores) {
    return scores.entrySet().stream()
        .sorted(
            Comparator.<Map.Entry<String, Double>>comparingDouble(e -> -e.getValue())
                .thenComparing(Map.Entry::getKey))
        .map(Map.Entry::getKey)
        .toList();
  }

  private double meant(String spelling, Language language, List<Integer> topic) {
    return sense == null
        ? 1
        : MEANS_NOTHING + (1 - MEANS_NOTHING) * sense.near(Phrase.of(spelling, language), topic);
  }

  private double score(String phrase, double here, double all) {
    double coverage = here / all;
    double precision = here / demandEverywhere.get(phrase);
    double complete = Math.min(1, complete(phrase) / OFTEN_ENOUGH);
    return coverage * Math.sqrt(precision) * (1 + complete) * BONUS[phrase.split(" ").length];
  }

  private static String unused(String name, Set<String> taken) {
    String result = name;
    for (int i = 2; taken.contains(result); i++) {
      result = name + " " + i;
    }
    return result;
  }

  private static String capitalised(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  private static double weight(KeywordGroup group) {
    return group.demand().searches() == null ? 1 : Math.sqrt(1.0 + group.demand().searches());
  }

  /**
   * For each of the phrases of stems its commonest spelling; the earlier in the alphabet at a tie.
   */
  private Map<String, String> spellings(List<Integer> topic, Set<String> wanted) {
    Map<String, Map<String, Integer>> counts = new HashMap<>();
    for (int group : topic) {
      for (Map<String, String> its : phrases.get(group)) {
        its.forEach(
            (phrase, spelling) -> {
              if (wanted.contains(phrase)) {
                counts
                    .computeIfAbsent(phrase, p -> new HashMap<>())
                    .merge(spelling, 1, Integer::sum);
              }
            });
      }
    }
    Map<String, String> result = new HashMap<>();
    counts.forEach((phrase, spelled) -> result.put(phrase, commonest(spelled)));
    return result;
  }

  private static String commonest(Map<String, Integer> counts) {
    return counts.entrySet().stream()
        .min(
            Comparator.<Map.Entry<String, Integer>>comparingInt(e -> -e.getValue())
                .thenComparing(Map.Entry::getKey))
        .orElseThrow()
        .getKey();
  }

  /** The phrases of stems that could name a topic, with their spelling. */
  private Map<String, String> phrases(Keyword keyword) {
    Map<String, String> result = new LinkedHashMap<>();
    List<String> words = Words.lower(keyword.normal());
    for (int from = 0; from < words.size(); from++) {
      StringBuilder phrase = new StringBuilder();
      StringBuilder spelling = new StringBuilder();
      for (int at = from; at < Math.min(words.size(), from + MOST_WORDS); at++) {
        if (!canName(words.get(at), keyword.language())) {
          break;
        }
        String gap = at == from ? "" : " ";
        phrase.append(gap).append(stems.of(words.get(at), keyword.language()));
        spelling.append(gap).append(words.get(at));
        result.putIfAbsent(phrase.toString(), spelling.toString());
      }
    }
    return result;
  }

  /** Counts in how many places each word stands, and in how many nothing that names follows. */
  private void countPlaces(Keyword keyword) {
    List<String> words = Words.lower(keyword.normal());
    for (int at = 0; at < words.size(); at++) {
      if (canName(words.get(at), keyword.language())) {
        boolean followed =
            LAST_WORD_RULES.contains(keyword.language())
                && at + 1 < words.size()
                && canName(words.get(at + 1), keyword.language());
        int[] counts =
            places.computeIfAbsent(stems.of(words.get(at), keyword.language()), s -> new int[2]);
        counts[0]++;
        counts[1] += followed ? 0 : 1;
      }
    }
  }

  /** In which part of its places its last word stands without another one after it. */
  private double complete(String phrase) {
    int[] counts = places.get(phrase.substring(phrase.lastIndexOf(' ') + 1));
    return counts == null ? 0 : (double) counts[1] / counts[0];
  }

  private static boolean canName(String word, Language language) {
    return word.length() > 1
        && !StopWords.contains(word, language)
        && !IntentReader.isTelling(word, language)
        && !NO_NAMES.contains(word)
        && !word.chars().allMatch(Character::isDigit);
  }
}
