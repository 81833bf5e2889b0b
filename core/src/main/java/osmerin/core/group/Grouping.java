package osmerin.core.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.text.Stems;

/**
 * Partitions keywords into groups that one article each can answer.
 *
 * <p>The story: keywords of one normal form are one. Close variants are folded into a <em>unit</em>
 * that the variant with most volume stands for. Units with ranking pages are joined by the pages
 * they share ({@link Communities}, then {@link Settling}; or in strict mode each to the strongest
 * primary keyword). Units without ranking pages join the unit whose words are most alike ({@link
 * WordIndex}). Groups that exist already keep their members and are never joined with each other;
 * new keywords find their place in them or start new groups.
 *
 * <p>Units are numbered by volume, then length, then spelling, and every tie falls to the lower
 * number: the result does not depend on the order of the input.
 */
public final class Grouping {
  /** The order in which members of a group stand; the first is the primary keyword. */
  public static final Comparator<Keyword> PRIMARY_FIRST =
      Comparator.<Keyword>comparingLong(k -> k.volume() == null ? -1 : k.volume().searches())
          .reversed()
          .thenComparingInt(k -> k.normal().length())
          .thenComparing(Keyword::normal);

  private final GroupingSettings settings;

  public Grouping(GroupingSettings settings) {
    this.settings = settings;
  }

  /** Groups keywords from nothing, in order of demand. */
  public List<KeywordGroup> group(Collection<Keyword> keywords) {
    return group(keywords, List.of());
  }

  /**
   * Groups keywords, some of which are in groups already.
   *
   * @param held groups that exist
   * @return all groups in order of demand, those that existed under their key
   */
  public List<KeywordGroup> group(Collection<Keyword> keywords, Collection<HeldGroup> held) {
    return new Run(keywords, held).groups();
  }

  /** Works out what is to be known of one group whose members are settled. */
  public KeywordGroup describe(String key, Collection<Keyword> members) {
    Set<String> all = members.stream().map(Keyword::normal).collect(Collectors.toSet());
    return group(members, List.of(new HeldGroup(key, all, true))).get(0);
  }

  /** One run over one set of keywords. */
  private final class Run {
    private final Stems stems = new Stems();
    private final Variants variants = new Variants(stems);
    private final GroupDescription description =
        new GroupDescription(stems, variants, settings.depth());
    private final Map<String, HeldGroup> homeOf = new HashMap<>();
    private final List<Unit> units;
    private final PageIndex index;

    Run(Collection<Keyword> keywords, Collection<HeldGroup> held) {
      held.forEach(group -> group.members().forEach(normal -> homeOf.put(normal, group)));
      units = fold(keywords);
      index = new PageIndex(units.stream().map(Unit::pages).toList());
    }

    List<KeywordGroup> groups() {
      int[] groupOf = settings.mode() == Mode.LOOSE ? loose() : strict();
      Map<Integer, List<Unit>> together = new TreeMap<>();
      for (int unit = 0; unit < groupOf.length; unit++) {
        together.computeIfAbsent(groupOf[unit], g -> new ArrayList<>()).add(units.get(unit));
      }
      return together.values().parallelStream()
          .map(description::of)
          .sorted(
              Comparator.<KeywordGroup>comparingLong(
                      g -> g.demand().searches() == null ? -1 : g.demand().searches())
                  .reversed()
                  .thenComparing(KeywordGroup::primary, PRIMARY_FIRST))
          .toList();
    }

    /** Close variants become one unit, but a variant that is in a group already stays there. */
    private List<Unit> fold(Collection<Keyword> keywords) {
      Map<String, Keyword> distinct = new LinkedHashMap<>();
      for (Keyword keyword : keywords.parallelStream().sorted(PRIMARY_FIRST).toList()) {
        distinct.putIfAbsent(keyword.normal(), keyword);
      }
      distinct.values().parallelStream().forEach(keyword -> variants.key(keyword.text()));
      Map<String, HeldGroup> homeOfVariants = new HashMap<>();
      distinct.forEach(
          (normal, keyword) -> {
            HeldGroup home = homeOf.get(normal);
            if (home != null && !home.locked()) {
              homeOfVariants.putIfAbsent(variants.key(keyword.text()), home);
            }
          });
      Map<String, List<Keyword>> folded = new LinkedHashMap<>();
      Map<String, HeldGroup> homes = new HashMap<>();
      distinct.forEach(
          (normal, keyword) -> {
            String variant = variants.key(keyword.text());
            HeldGroup home =
                homeOf.containsKey(normal) ? homeOf.get(normal) : homeOfVariants.get(variant);
            String unit = home == null ? variant : variant + "\n" + home.key();
            folded.computeIfAbsent(unit, k -> new ArrayList<>()).add(keyword);
            if (home != null) {
              homes.put(unit, home);
            }
          });
      return folded.entrySet().parallelStream()
          .map(unit -> unit(unit.getValue(), homes.get(unit.getKey())))
          .toList();
    }

    private Unit unit(List<Keyword> members, @Nullable HeldGroup home) {
      List<PageAddress> pages =
          members.stream()
              .map(Keyword::pages)
              .filter(p -> !p.isEmpty())
              .findFirst()
              .orElse(List.of())
              .stream()
              .limit(settings.depth())
              .toList();
      SearchIntent intent =
          new IntentReader().read(members.get(0).text(), members.get(0).intent()).intent();
      return new Unit(members, pages, stems.subject(members.get(0).text()), intent, home);
    }

    private int[] loose() {
      Neighbours neighbours = index.neighbours(settings.minShared());
      Communities communities = new Communities(index, neighbours, settings.minShared());
      heldUnits()
          .values()
          .forEach(held -> communities.keepTogether(held, units.get(held.get(0)).isLocked()));
      communities.join();
      int[] groupOf = new int[units.size()];
      boolean[] held = new boolean[units.size()];
      boolean[] locked = new boolean[units.size()];
      for (int unit = 0; unit < groupOf.length; unit++) {
        groupOf[unit] = communities.find(unit);
        held[unit] = units.get(unit).home() != null;
        locked[unit] = units.get(unit).isLocked();
      }
      List<Set<String>> stemsOf = units.stream().map(Unit::stems).toList();
      int[] settled = new Settling(index, neighbours, stemsOf, held, locked).settle(groupOf);
      joinByWords(settled);
      return settled;
    }

    /** Units without ranking pages follow the unit whose words are most alike. */
    private void joinByWords(int[] groupOf) {
      WordIndex words = wordIndex();
      for (int unit = 0; unit < groupOf.length; unit++) {
        if (!isFree(unit) && !units.get(unit).isLocked()) {
          words.add(unit);
        }
      }
      for (int unit = 0; unit < groupOf.length; unit++) {
        if (isFree(unit)) {
          int self = groupOf[unit];
          groupOf[unit] =
              words.nearest(unit).stream().map(near -> groupOf[near]).findFirst().orElse(self);
          words.add(unit);
        }
      }
    }

    private boolean isFree(int unit) {
      return units.get(unit).pages().isEmpty() && units.get(unit).home() == null;
    }

    /** Units in order of volume either follow the primary they share most with or become one. */
    private int[] strict() {
      int[] groupOf = new int[units.size()];
      Neighbours neighbours = index.neighbours(settings.minShared());
      WordIndex words = wordIndex();
      Map<String, Integer> primaryOfHeld = new HashMap<>();
      for (int unit = 0; unit < groupOf.length; unit++) {
        HeldGroup home = units.get(unit).home();
        Integer primary = home == null ? null : primaryOfHeld.get(home.key());
        if (home == null) {
          groupOf[unit] = primaryFor(unit, groupOf, neighbours, words);
        } else {
          groupOf[unit] = primary == null ? unit : primary;
          primaryOfHeld.put(home.key(), groupOf[unit]);
        }
        if (groupOf[unit] == unit && !units.get(unit).isLocked()) {
          words.add(unit);
        }
      }
      return groupOf;
    }

    private int primaryFor(int unit, int[] groupOf, Neighbours neighbours, WordIndex words) {
      int best = unit;
      int most = settings.minShared() - 1;
      for (int at = neighbours.from(unit); at < neighbours.to(unit); at++) {
        int other = neighbours.unit(at);
        boolean isPrimary = other < unit && groupOf[other] == other;
        if (isPrimary && !units.get(other).isLocked() && neighbours.shared(at) > most) {
          best = other;
          most = neighbours.shared(at);
        }
      }
      if (best != unit) {
        return best;
      }
      int alike = words.nearest(unit).orElse(unit);
      boolean wordsDecide = units.get(unit).pages().isEmpty() || units.get(alike).pages().isEmpty();
      return wordsDecide ? alike : unit;
    }

    private Map<String, List<Integer>> heldUnits() {
      Map<String, List<Integer>> result = new TreeMap<>();
      for (int unit = 0; unit < units.size(); unit++) {
        HeldGroup home = units.get(unit).home();
        if (home != null) {
          result.computeIfAbsent(home.key(), k -> new ArrayList<>()).add(unit);
        }
      }
      return result;
    }

    private WordIndex wordIndex() {
      return new WordIndex(
          units.stream().map(Unit::stems).toList(), units.stream().map(Unit::intent).toList());
    }
  }

  /**
   * Close variants that move as one.
   *
   * @param members in {@link #PRIMARY_FIRST} order
   * @param pages the ranking pages that stand for all of them, cut to the depth
   * @param home the group they are in already
   */
  record Unit(
      List<Keyword> members,
      List<PageAddress> pages,
      Set<String> stems,
      SearchIntent intent,
      @Nullable HeldGroup home) {
    boolean isLocked() {
      return home != null && home.locked();
    }
  }
}
