package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * Names topics by the phrase of one or two words that stands in most of the topic's demand and in
 * little else, written the way most of its keywords write it.
 */
final class TopicName {
  /** A phrase of two words says more than one of them alone. */
  private static final double BONUS_FOR_TWO_WORDS = 1.4;

  private static final Set<String> NO_NAMES =
      Set.of(
          "how",
          "what",
          "why",
          "when",
          "where",
          "which",
          "who",
          "best",
          "vs",
          "make",
          "making",
          "use",
          "using",
          "not",
          "without",
          "get",
          "good",
          "need",
          "much",
          "long",
          "home",
          "guide",
          "beginners",
          "beginner",
          "ideas",
          "tips",
          "top",
          "review",
          "reviews",
          "diy",
          "first",
          "buy",
          "cheap",
          "cost",
          "price",
          "fix",
          "after",
          "before",
          "between",
          "difference");

  private final Stems stems;
  private final Map<String, Double> demandEverywhere;

  TopicName(Stems stems, List<KeywordGroup> all) {
    this.stems = stems;
    this.demandEverywhere = demandByPhrase(all);
  }

  /** The best name that is not taken yet. */
  String of(List<KeywordGroup> groups, Set<String> taken) {
    Map<String, Double> here = demandByPhrase(groups);
    double all = groups.stream().mapToDouble(TopicName::weight).sum();
    List<String> ranked =
        here.keySet().stream()
            .sorted(
                Comparator.<String>comparingDouble(phrase -> -score(phrase, here, all))
                    .thenComparing(phrase -> phrase))
            .toList();
    Map<String, String> spellings = spellings(groups, here.keySet());
    return ranked.stream()
        .map(phrase -> capitalised(spellings.get(phrase)))
        .filter(name -> !taken.contains(name))
        .findFirst()
        .orElseGet(() -> unused(capitalised(groups.get(0).primary().text()), taken));
  }

  private double score(String phrase, Map<String, Double> here, double all) {
    double coverage = here.get(phrase) / all;
    double precision = here.get(phrase) / demandEverywhere.get(phrase);
    return coverage * Math.sqrt(precision) * (phrase.contains(" ") ? BONUS_FOR_TWO_WORDS : 1);
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

  private Map<String, Double> demandByPhrase(List<KeywordGroup> groups) {
    Map<String, Double> demand = new HashMap<>();
    for (KeywordGroup group : groups) {
      phrases(group.primary().text())
          .keySet()
          .forEach(phrase -> demand.merge(phrase, weight(group), Double::sum));
    }
    return demand;
  }

  /**
   * For each of the phrases of stems its commonest spelling; the earlier in the alphabet at a tie.
   */
  private Map<String, String> spellings(List<KeywordGroup> groups, Set<String> of) {
    Map<String, Map<String, Integer>> counts = new HashMap<>();
    for (KeywordGroup group : groups) {
      for (Membership member : group.members()) {
        phrases(member.keyword().normal())
            .forEach(
                (phrase, spelling) -> {
                  if (of.contains(phrase)) {
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

  private Map<String, String> phrases(String text) {
    Map<String, String> result = new LinkedHashMap<>();
    List<String> words = new ArrayList<>(Words.lower(text));
    for (int i = 0; i < words.size(); i++) {
      if (!canName(words.get(i))) {
        continue;
      }
      result.putIfAbsent(stems.of(words.get(i)), words.get(i));
      if (i + 1 < words.size() && canName(words.get(i + 1))) {
        result.putIfAbsent(
            stems.of(words.get(i)) + " " + stems.of(words.get(i + 1)),
            words.get(i) + " " + words.get(i + 1));
      }
    }
    return result;
  }

  private static boolean canName(String word) {
    return word.length() > 1
        && !StopWords.contains(word)
        && !NO_NAMES.contains(word)
        && !word.chars().allMatch(Character::isDigit);
  }
}
