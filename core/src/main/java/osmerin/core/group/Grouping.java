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
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.Variants;
import osmerin.core.keyword.Volume;
import osmerin.core.linkage.AverageLinkage;
import osmerin.core.linkage.PageIndex;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.Nearness;
import osmerin.core.text.Language;
import osmerin.core.text.LanguageGuess;
import osmerin.core.text.Stems;

/**
 * Partitions keywords into groups that one article each can answer.
 *
 * <p>The story: keywords of one normal form are one. Close variants are folded into a <em>unit</em>
 * with the pages most of them have. Units with ranking pages are joined by the pages they share
 * ({@link AverageLinkage}, then {@link Settling}; or in strict mode each to the primary keyword it
 * is most like). Where pages are missing, or fewer than {@value #FEW_PAGES} are known, {@link
 * Meaning} joins ({@link ByMeaning}). Groups that exist already keep their members and are never
 * joined with each other; new keywords find their place in them or start new groups.
 *
 * <p>Units are numbered by normal form and every tie falls to the lower number: neither the order
 * of the input nor, in loose mode, any volume decides who is together.
 */
public final class Grouping {
  /** The order in which members of a group stand; the first is the primary keyword. */
  public static final Comparator<Keyword> PRIMARY_FIRST =
      primaryFirst(Keyword::volume, Keyword::normal);

  /** With so many known pages or more, pages decide. */
  public static final int FEW_PAGES = 5;

  /** The same order for what stands for a keyword: most searches, then the shortest normal form. */
  public static <T> Comparator<T> primaryFirst(
      Function<T, @Nullable Volume> volume, Function<T, String> normal) {
    ToLongFunction<T> searches =
        of -> {
          Volume known = volume.apply(of);
          return known == null ? -1 : known.searches();
        };
    return Comparator.comparingLong(searches)
        .reversed()
        .thenComparingInt(of -> normal.apply(of).length())
        .thenComparing(normal);
  }

  private final GroupingSettings settings;
  private final @Nullable Meaning meaning;

  /** Where pages are missing spelling decides. */
  public Grouping(GroupingSettings settings) {
    this(settings, null);
  }

  /**
   * @param meaning decides where pages are missing; null where there is none
   */
  public Grouping(GroupingSettings settings, @Nullable Meaning meaning) {
    this.settings = settings;
    this.meaning = meaning;
  }

  /**
   * Whether so few ranking pages of a keyword are known that meaning may decide. These keywords
   * tell what is usual on their site.
   */
  public static boolean hasFewPages(Keyword keyword) {
    return keyword.pages().size() < FEW_PAGES;
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

  /**
   * Works out what is to be known of one group whose members are settled.
   *
   * @param nearness of the site's keywords, null where meaning is not asked
   */
  public KeywordGroup describe(
      String key, Collection<Keyword> members, @Nullable Nearness nearness) {
    Map<String, Keyword> distinct = new LinkedHashMap<>();
    members.stream().sorted(PRIMARY_FIRST).forEach(k -> distinct.putIfAbsent(k.normal(), k));
    Stems stems = new Stems();
    return new GroupDescription(
            stems, new Variants(stems), settings, nearness == null ? null : () -> nearness)
        .of(key, List.copyOf(distinct.values()));
  }

  /** One run over one set of keywords. */
  private final class Run {
    private final Stems stems = new Stems();
    private final Variants variants = new Variants(stems);
    private final List<Unit> units;
    private final PageIndex index;
    private final @Nullable ByMeaning byMeaning;

    Run(Collection<Keyword> given, Collection<HeldGroup> held) {
      units = new UnitFolding(stems, variants, settings.depth(), meaning, held).fold(spoken(given));
      byMeaning =
          units.stream().anyMatch(Unit::isFree) ? new ByMeaning(units, settings, meaning) : null;
      index = new PageIndex(units.stream().map(Unit::pages).toList());
    }

    List<KeywordGroup> groups() {
      int[] groupOf = settings.mode() == Mode.LOOSE ? loose() : strict();
      Map<Integer, List<Unit>> together = new TreeMap<>();
      for (int unit = 0; unit < groupOf.length; unit++) {
        together.computeIfAbsent(groupOf[unit], g -> new ArrayList<>()).add(units.get(unit));
      }
      GroupDescription description =
          new GroupDescription(
              stems, variants, settings, byMeaning == null ? null : byMeaning::nearness);
      return together.values().parallelStream()
          .map(description::of)
          .sorted(
              Comparator.<KeywordGroup>comparingLong(
                      g -> g.demand().searches() == null ? -1 : g.demand().searches())
                  .reversed()
                  .thenComparing(KeywordGroup::primary, PRIMARY_FIRST))
          .toList();
    }

    /** Each in its language, guessed from all where it is not known. */
    private static List<Keyword> spoken(Collection<Keyword> given) {
      if (given.stream().allMatch(Keyword::isLanguageKnown)) {
        return List.copyOf(given);
      }
      LanguageGuess guess =
          LanguageGuess.from(given.stream().map(Keyword::normal).toList(), Language.ENGLISH);
      return given.parallelStream()
          .map(k -> k.isLanguageKnown() ? k : k.in(guess.of(k.normal())))
          .toList();
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
      return byMeaning == null ? settled : byMeaning.join(byMeaning.told(settled));
    }

    /** Units in order of volume either follow the primary they are most like or become one. */
    private int[] strict() {
      int[] groupOf = new int[units.size()];
      Primaries primaries = new Primaries(index, settings.least());
      Map<String, Integer> primaryOfHeld = new HashMap<>();
      for (int unit : byVolume()) {
        HeldGroup home = units.get(unit).home();
        Integer primary = home == null ? null : primaryOfHeld.get(home.key());
        if (home == null) {
          groupOf[unit] = primaryFor(unit, primaries);
        } else {
          groupOf[unit] = primary == null ? unit : primary;
          primaryOfHeld.put(home.key(), groupOf[unit]);
        }
        if (groupOf[unit] == unit && !units.get(unit).isLocked()) {
          primaries.add(unit);
          if (byMeaning != null) {
            byMeaning.addPrimary(unit);
          }
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

    private int primaryFor(int unit, Primaries primaries) {
      OptionalInt byPages = primaries.nearest(unit);
      return byPages.isPresent() || byMeaning == null
          ? byPages.orElse(unit)
          : byMeaning.nearestPrimary(unit).orElse(unit);
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
  }
}
