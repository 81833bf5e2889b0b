package osmerin.core.group;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.intent.IntentReader;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Variants;
import osmerin.core.text.Stems;

/**
 * Partitions keywords into groups that one article each can answer.
 *
 * <p>The story: keywords of one normal form are one. Close variants are folded into a <em>unit</em>
 * with the pages most of them have. Units with ranking pages are joined by the pages they share
 * ({@link AverageLinkage}, then {@link Settling}; or in strict mode each to the primary keyword it
 * is most like). Units without ranking pages join the unit whose words are most alike ({@link
 * WordIndex}). Groups that exist already keep their members and are never joined with each other;
 * new keywords find their place in them or start new groups.
 *
 * <p>Units are numbered by normal form and every tie falls to the lower number: neither the order
 * of the input nor, in loose mode, any volume decides who is together.
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
    Map<String, Keyword> distinct = new LinkedHashMap<>();
    members.stream().sorted(PRIMARY_FIRST).forEach(k -> distinct.putIfAbsent(k.normal(), k));
    Stems stems = new Stems();
    return new GroupDescription(stems, new Variants(stems), settings.depth())
        .of(key, List.copyOf(distinct.values()));
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
          .sorted(Comparator.comparing(Unit::name))
          .toList();
    }

    private Unit unit(List<Keyword> members, @Nullable HeldGroup home) {
      String name = members.stream().map(Keyword::normal).min(String::compareTo).orElseThrow();
      Set<String> subject = stems.subject(members.get(0).text());
      return new Unit(members, name, pages(members), subject, home);
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
      return pages.size() <= settings.depth() ? pages : pages.subList(0, settings.depth());
    }

    private int[] loose() {
      AverageLinkage linkage = new AverageLinkage(index, settings.least());
      heldUnits()
          .values()
          .forEach(held -> linkage.keepTogether(held, units.get(held.get(0)).isLocked()));
      linkage.join();
      int[] groupOf = new int[units.size()];
      boolean[] held = new boolean[units.size()];
      boolean[] locked = new boolean[units.size()];
      for (int unit = 0; unit < groupOf.length; unit++) {
        groupOf[unit] = linkage.find(unit);
        held[unit] = units.get(unit).home() != null;
        locked[unit] = units.get(unit).isLocked();
      }
      List<Set<String>> stemsOf = units.stream().map(Unit::stems).toList();
      int[] settled = new Settling(index, settings.least(), stemsOf, held, locked).settle(groupOf);
      joinByWords(settled);
      return settled;
    }

    /** Units without ranking pages follow the unit whose words are most alike, short ones first. */
    private void joinByWords(int[] groupOf) {
      if (IntStream.range(0, groupOf.length).noneMatch(this::isFree)) {
        return;
      }
      WordIndex words = wordIndex();
      for (int unit = 0; unit < groupOf.length; unit++) {
        if (!isFree(unit) && !units.get(unit).isLocked()) {
          words.add(unit);
        }
      }
      IntStream.range(0, groupOf.length)
          .filter(this::isFree)
          .boxed()
          .sorted(Comparator.comparingInt(unit -> units.get(unit).stems().size()))
          .forEach(
              unit -> {
                int self = groupOf[unit];
                groupOf[unit] =
                    words.nearest(unit).stream()
                        .map(near -> groupOf[near])
                        .findFirst()
                        .orElse(self);
                words.add(unit);
              });
    }

    private boolean isFree(int unit) {
      return units.get(unit).pages().isEmpty() && units.get(unit).home() == null;
    }

    /** Units in order of volume either follow the primary they are most like or become one. */
    private int[] strict() {
      int[] groupOf = new int[units.size()];
      Primaries primaries = new Primaries(index, settings.least());
      WordIndex words = wordIndex();
      Map<String, Integer> primaryOfHeld = new HashMap<>();
      for (int unit : byVolume()) {
        HeldGroup home = units.get(unit).home();
        Integer primary = home == null ? null : primaryOfHeld.get(home.key());
        if (home == null) {
          groupOf[unit] = primaryFor(unit, primaries, words);
        } else {
          groupOf[unit] = primary == null ? unit : primary;
          primaryOfHeld.put(home.key(), groupOf[unit]);
        }
        if (groupOf[unit] == unit && !units.get(unit).isLocked()) {
          words.add(unit);
          primaries.add(unit);
        }
      }
      return groupOf;
    }

    private List<Integer> byVolume() {
      return IntStream.range(0, units.size())
          .boxed()
          .sorted(Comparator.comparing(unit -> units.get(unit).members().get(0), PRIMARY_FIRST))
          .toList();
    }

    private int primaryFor(int unit, Primaries primaries, WordIndex words) {
      OptionalInt byPages = primaries.nearest(unit);
      if (byPages.isPresent()) {
        return byPages.getAsInt();
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
      IntentReader intents = new IntentReader();
      return new WordIndex(
          units.stream().map(Unit::stems).toList(),
          units.parallelStream()
              .map(unit -> unit.members().get(0))
              .map(keyword -> intents.read(keyword.text(), keyword.intent()).intent())
              .toList());
    }
  }

  /**
   * Close variants that move as one.
   *
   * @param members in {@link #PRIMARY_FIRST} order
   * @param name the first of their normal forms
   * @param pages the ranking pages that stand for all of them, cut to the depth
   * @param home the group they are in already
   */
  record Unit(
      List<Keyword> members,
      String name,
      List<PageAddress> pages,
      Set<String> stems,
      @Nullable HeldGroup home) {
    boolean isLocked() {
      return home != null && home.locked();
    }
  }
}
