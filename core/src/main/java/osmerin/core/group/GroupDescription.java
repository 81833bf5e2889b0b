package osmerin.core.group;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Membership.Basis;
import osmerin.core.group.Membership.Neighbour;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.IntentReading;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.linkage.Numbered;
import osmerin.core.meaning.Nearness;
import osmerin.core.text.Stems;

/**
 * Works out what is known of a group once its members are: demand, intent, and why each is in it.
 */
final class GroupDescription {
  private static final int NEAREST_SHOWN = 3;

  private final Stems stems;
  private final Variants variants;
  private final GroupingSettings settings;
  private final @Nullable Supplier<Nearness> nearness;
  private final IntentReader intents = new IntentReader();

  /**
   * @param nearness null where meaning is not asked
   */
  GroupDescription(
      Stems stems,
      Variants variants,
      GroupingSettings settings,
      @Nullable Supplier<Nearness> nearness) {
    this.stems = stems;
    this.variants = variants;
    this.settings = settings;
    this.nearness = nearness;
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
    return of(keptAs, keywords);
  }

  /** The same of keywords in order, each once. */
  KeywordGroup of(@Nullable String keptAs, List<Keyword> keywords) {
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
      IntentReading reading = intents.read(keyword.text(), keyword.intent(), keyword.language());
      long weight = keyword.volume() == null ? 0 : keyword.volume().searches();
      demand.merge(reading.intent(), weight, Long::sum);
      strongest.putIfAbsent(reading.intent(), reading);
    }
    return strongest.get(intents.mostOf(demand));
  }

  private List<Membership> memberships(List<Keyword> keywords) {
    Nearest nearest = new Nearest(keywords, settings.depth());
    Map<String, Integer> sameWords = new HashMap<>();
    String[] keys = keywords.stream().map(variants::key).toArray(String[]::new);
    for (String key : keys) {
      sameWords.merge(key, 1, Integer::sum);
    }
    WordsOfGroup words = new WordsOfGroup(keywords, stems);
    IntPredicate asked = i -> nearest.sharesNone(i) && !words.tell(keywords.get(i));
    NearMembers near =
        keywords.size() > 1
                && nearness != null
                && IntStream.range(0, keywords.size()).anyMatch(asked)
            ? new NearMembers(nearness.get(), keywords, keys, asked)
            : null;
    Set<String> primaryStems =
        Set.copyOf(stems.all(keywords.get(0).text(), keywords.get(0).language()));
    List<Membership> result = new ArrayList<>(keywords.size());
    for (int i = 0; i < keywords.size(); i++) {
      Keyword keyword = keywords.get(i);
      if (i > 0 && sameWords.get(keys[i]) == 1 && nearest.sharesNone(i) && words.tell(keyword)) {
        result.add(words.membership(keyword));
        continue;
      }
      boolean byPages = near == null || !asked.test(i);
      List<Neighbour> its = byPages ? nearest.of(i) : near.of(i, NEAREST_SHOWN);
      Basis basis =
          i == 0
              ? Basis.PRIMARY
              : sameWords.get(keys[i]) > 1
                  ? Basis.VARIANT
                  : byPages
                      ? its.isEmpty() && nearest.sharedWithFirst(i) == 0 ? Basis.KEPT : Basis.PAGES
                      : near.basis(i, its, settings.leastNear());
      result.add(
          new Membership(
              keyword,
              basis,
              nearest.sharedWithFirst(i),
              byPages ? null : near.toFirst(i),
              its,
              SharedEvidence.words(keyword, primaryStems, stems)));
    }
    return result;
  }

  /** For each keyword of a group the others that share most pages with it. */
  private static final class Nearest {
    /** Of the keywords of a page so many are looked at, those with most volume. */
    private static final int LOOKED_AT = 64;

    private final List<Keyword> keywords;
    private final int[][] pagesOf;
    private final int[][] keywordsOf;
    private final int[] shared;

    Nearest(List<Keyword> keywords, int depth) {
      this.keywords = keywords;
      Map<PageAddress, Integer> numbers = new HashMap<>();
      pagesOf =
          keywords.stream()
              .map(
                  keyword ->
                      keyword.pages().stream()
                          .limit(depth)
                          .mapToInt(page -> numbers.computeIfAbsent(page, p -> numbers.size()))
                          .sorted()
                          .toArray())
              .toArray(int[][]::new);
      keywordsOf = Numbered.turned(pagesOf, numbers.size());
      shared = new int[keywords.size()];
    }

    /** Whether none of its pages ranks for another keyword of the group. */
    boolean sharesNone(int keyword) {
      for (int page : pagesOf[keyword]) {
        if (keywordsOf[page].length > 1) {
          return false;
        }
      }
      return true;
    }

    /** Pages shared with the primary keyword; for itself the number of its own. */
    int sharedWithFirst(int of) {
      return Numbered.common(pagesOf[of], pagesOf[0]);
    }

    /** Up to {@value #NEAREST_SHOWN}, the primary keyword not among them. */
    List<Neighbour> of(int keyword) {
      int[] met = new int[LOOKED_AT * pagesOf[keyword].length];
      int n = 0;
      boolean counted = true;
      for (int page : pagesOf[keyword]) {
        int[] its = keywordsOf[page];
        counted &= its.length <= LOOKED_AT;
        for (int i = 0; i < Math.min(LOOKED_AT, its.length); i++) {
          if (its[i] != keyword && its[i] != 0 && shared[its[i]]++ == 0) {
            met[n++] = its[i];
          }
        }
      }
      // A keyword may lie behind those looked at of one page and before those of another.
      for (int i = 0; i < n && !counted; i++) {
        shared[met[i]] = Numbered.common(pagesOf[keyword], pagesOf[met[i]]);
      }
      List<Neighbour> nearest = new ArrayList<>(NEAREST_SHOWN);
      for (int place = 0; place < NEAREST_SHOWN && place < n; place++) {
        for (int i = place + 1; i < n; i++) {
          if (isNearer(met[i], met[place])) {
            int other = met[place];
            met[place] = met[i];
            met[i] = other;
          }
        }
        nearest.add(new Neighbour(keywords.get(met[place]), shared[met[place]], null));
      }
      for (int i = 0; i < n; i++) {
        shared[met[i]] = 0;
      }
      return nearest;
    }

    private boolean isNearer(int a, int b) {
      return shared[a] > shared[b] || shared[a] == shared[b] && a < b;
    }
  }
}
