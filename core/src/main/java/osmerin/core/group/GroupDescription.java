package osmerin.core.group;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import osmerin.core.group.Grouping.Unit;
import osmerin.core.group.Membership.Basis;
import osmerin.core.group.Membership.Neighbour;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.IntentReading;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.text.Stems;

/**
 * Works out what is known of a group once its members are: demand, intent, and why each is in it.
 */
final class GroupDescription {
  private static final int NEAREST_SHOWN = 3;

  private final Stems stems;
  private final Variants variants;
  private final int depth;
  private final IntentReader intents = new IntentReader();

  GroupDescription(Stems stems, Variants variants, int depth) {
    this.stems = stems;
    this.variants = variants;
    this.depth = depth;
  }

  KeywordGroup of(List<Unit> units) {
    List<Keyword> keywords =
        units.stream().flatMap(u -> u.members().stream()).sorted(Grouping.PRIMARY_FIRST).toList();
    String keptAs =
        units.stream()
            .map(Unit::home)
            .filter(Objects::nonNull)
            .map(HeldGroup::key)
            .findFirst()
            .orElse(null);
    IntentReading reading = reading(keywords);
    return new KeywordGroup(
        keptAs,
        memberships(keywords),
        Demand.of(keywords, variants),
        reading.intent(),
        reading.stage(),
        reading.reason());
  }

  /** The intent of most of the demand, with stage and reason of its strongest keyword. */
  private IntentReading reading(List<Keyword> keywords) {
    Map<SearchIntent, Long> demand = new HashMap<>();
    Map<SearchIntent, IntentReading> strongest = new HashMap<>();
    for (Keyword keyword : keywords) {
      IntentReading reading = intents.read(keyword.text(), keyword.intent());
      long weight = keyword.volume() == null ? 0 : keyword.volume().searches();
      demand.merge(reading.intent(), weight, Long::sum);
      strongest.putIfAbsent(reading.intent(), reading);
    }
    return strongest.get(intents.mostOf(demand));
  }

  private List<Membership> memberships(List<Keyword> keywords) {
    Map<PageAddress, List<Integer>> rankers = new HashMap<>();
    for (int i = 0; i < keywords.size(); i++) {
      for (PageAddress page : first(keywords.get(i))) {
        rankers.computeIfAbsent(page, p -> new ArrayList<>()).add(i);
      }
    }
    Map<String, Integer> sameWords = new HashMap<>();
    keywords.forEach(k -> sameWords.merge(variants.key(k.text()), 1, Integer::sum));
    List<Membership> result = new ArrayList<>();
    for (int i = 0; i < keywords.size(); i++) {
      Map<Integer, Integer> shared = sharedWith(i, keywords, rankers);
      boolean isVariant = sameWords.get(variants.key(keywords.get(i).text())) > 1;
      result.add(membership(i, keywords, shared, isVariant));
    }
    return result;
  }

  private List<PageAddress> first(Keyword keyword) {
    return keyword.pages().stream().limit(depth).toList();
  }

  private Map<Integer, Integer> sharedWith(
      int of, List<Keyword> keywords, Map<PageAddress, List<Integer>> rankers) {
    Map<Integer, Integer> shared = new HashMap<>();
    for (PageAddress page : first(keywords.get(of))) {
      rankers.get(page).forEach(other -> shared.merge(other, 1, Integer::sum));
    }
    return shared;
  }

  private Membership membership(
      int i, List<Keyword> keywords, Map<Integer, Integer> shared, boolean isVariant) {
    Keyword keyword = keywords.get(i);
    List<Neighbour> nearest =
        shared.entrySet().stream()
            .filter(other -> other.getKey() != i && other.getKey() != 0)
            .sorted(
                Comparator.<Map.Entry<Integer, Integer>>comparingInt(e -> -e.getValue())
                    .thenComparing(Map.Entry::getKey))
            .limit(NEAREST_SHOWN)
            .map(e -> new Neighbour(keywords.get(e.getKey()), e.getValue()))
            .toList();
    int withPrimary = shared.getOrDefault(0, 0);
    boolean sharesPages = withPrimary > 0 || !nearest.isEmpty();
    Set<String> words = SharedEvidence.words(keyword, keywords.get(0), stems);
    Basis basis =
        i == 0
            ? Basis.PRIMARY
            : isVariant
                ? Basis.VARIANT
                : sharesPages ? Basis.PAGES : keyword.pages().isEmpty() ? Basis.WORDS : Basis.KEPT;
    return new Membership(keyword, basis, withPrimary, nearest, words);
  }
}
