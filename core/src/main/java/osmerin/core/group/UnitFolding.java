package osmerin.core.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BinaryOperator;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Stems;

/** Folds keywords into units: close variants, which move as one. */
final class UnitFolding {
  private final Stems stems;
  private final Variants variants;
  private final int depth;
  private final @Nullable Meaning meaning;
  private final Map<String, HeldGroup> homeOf = new HashMap<>();

  /**
   * @param depth so many ranking pages of a keyword count
   * @param held groups that exist
   */
  UnitFolding(
      Stems stems,
      Variants variants,
      int depth,
      @Nullable Meaning meaning,
      Collection<HeldGroup> held) {
    this.stems = stems;
    this.variants = variants;
    this.depth = depth;
    this.meaning = meaning;
    held.forEach(group -> group.members().forEach(normal -> homeOf.put(normal, group)));
  }

  /** Close variants become one unit, but a variant that is in a group already stays there. */
  List<Unit> fold(Collection<Keyword> keywords) {
    Map<String, Keyword> distinct = new HashMap<>();
    keywords.forEach(
        keyword ->
            distinct.merge(
                keyword.normal(), keyword, BinaryOperator.minBy(Grouping.PRIMARY_FIRST)));
    distinct.values().parallelStream().forEach(variants::key);
    Map<String, HeldGroup> homeOfVariants = homesOfVariants(distinct);
    Map<String, List<Keyword>> folded = new HashMap<>();
    Map<String, HeldGroup> homes = new HashMap<>();
    distinct.forEach(
        (normal, keyword) -> {
          String variant = variants.key(keyword);
          HeldGroup home =
              homeOf.containsKey(normal) ? homeOf.get(normal) : homeOfVariants.get(variant);
          String unit = home == null ? variant : variant + "\n" + home.key();
          folded.computeIfAbsent(unit, k -> new ArrayList<>(1)).add(keyword);
          if (home != null) {
            homes.put(unit, home);
          }
        });
    folded.values().forEach(members -> members.sort(Grouping.PRIMARY_FIRST));
    return folded.entrySet().parallelStream()
        .map(unit -> unit(unit.getValue(), homes.get(unit.getKey())))
        .sorted(Comparator.comparing(Unit::name))
        .toList();
  }

  /** Of several groups that variants are in already, that of the most searched one. */
  private Map<String, HeldGroup> homesOfVariants(Map<String, Keyword> distinct) {
    Map<String, HeldGroup> homes = new HashMap<>();
    homeOf.keySet().stream()
        .map(distinct::get)
        .filter(Objects::nonNull)
        .sorted(Grouping.PRIMARY_FIRST)
        .filter(keyword -> !homeOf.get(keyword.normal()).locked())
        .forEach(keyword -> homes.putIfAbsent(variants.key(keyword), homeOf.get(keyword.normal())));
    return homes;
  }

  private Unit unit(List<Keyword> members, @Nullable HeldGroup home) {
    String name = members.stream().map(Keyword::normal).min(String::compareTo).orElseThrow();
    Set<String> subject = stems.subject(members.get(0).text(), members.get(0).language());
    List<PageAddress> pages = pages(members);
    boolean few =
        pages.isEmpty() || pages.size() < Grouping.FEW_PAGES && isUnderstood(members.get(0));
    return new Unit(members, name, pages, few, subject, home);
  }

  /** Spelling alone decides only where no pages are known at all. */
  private boolean isUnderstood(Keyword keyword) {
    return meaning != null && meaning.knows(keyword.language());
  }

  /** As many pages as a variant has on average, those that most variants have before others. */
  private List<PageAddress> pages(List<Keyword> members) {
    List<List<PageAddress>> known =
        members.stream().map(this::first).filter(its -> !its.isEmpty()).toList();
    if (known.size() < 2) {
      return known.isEmpty() ? List.of() : known.get(0);
    }
    Map<PageAddress, Integer> count = new HashMap<>();
    Map<PageAddress, Integer> places = new HashMap<>();
    for (List<PageAddress> its : known) {
      for (int place = 0; place < its.size(); place++) {
        count.merge(its.get(place), 1, Integer::sum);
        places.merge(its.get(place), place, Integer::sum);
      }
    }
    double usual = known.stream().mapToInt(List::size).average().orElseThrow();
    return count.keySet().stream()
        .sorted(
            Comparator.<PageAddress>comparingInt(page -> -count.get(page))
                .thenComparingInt(places::get)
                .thenComparing(PageAddress::toString))
        .limit(Math.round(usual))
        .toList();
  }

  private List<PageAddress> first(Keyword keyword) {
    List<PageAddress> pages = keyword.pages();
    return pages.size() <= depth ? pages : pages.subList(0, depth);
  }
}
