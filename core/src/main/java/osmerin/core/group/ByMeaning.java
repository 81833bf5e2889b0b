package osmerin.core.group;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.keyword.Keyword;
import osmerin.core.linkage.NearLinkage;
import osmerin.core.linkage.NearLinkage.Part;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.NearPairs;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.meaning.Profile;
import osmerin.core.text.Language;

/**
 * Joins what pages tell too little of by what it means: units with few ranking pages with each
 * other and with the groups that pages or people made. Groups that they made are never joined with
 * each other, and of a group that pages made a few units stand for all.
 */
final class ByMeaning {
  /** So many units stand for a group that pages made. */
  private static final int STANDING_FOR_ALL = 3;

  /** Of more groups than these only those with a rare word of a free unit are looked at. */
  private static final int MOST_GROUPS = 2_000;

  /** A word of more units is not rare. */
  private static final int RARE = 200;

  private final List<Unit> units;
  private final GroupingSettings settings;
  private final @Nullable Meaning meaning;
  private @Nullable Nearness nearness;
  private final IntentReader intents = new IntentReader();
  private final Set<Integer> primaries = new HashSet<>();
  private int @Nullable [][] near;

  ByMeaning(List<Unit> units, GroupingSettings settings, @Nullable Meaning meaning) {
    this.units = units;
    this.settings = settings;
    this.meaning = meaning;
  }

  /** Made when it is first asked for, since pages often leave nothing to ask. */
  synchronized Nearness nearness() {
    if (nearness == null) {
      nearness =
          Nearness.among(
              meaning,
              units.stream()
                  .flatMap(unit -> unit.members().stream())
                  .filter(Grouping::hasFewPages)
                  .map((Keyword keyword) -> Phrase.of(keyword))
                  .toList());
    }
    return nearness;
  }

  /** A unit is told by the first of its variants, whatever their volumes. */
  private static Phrase phrase(Unit unit) {
    return Phrase.of(first(unit));
  }

  private static Keyword first(Unit unit) {
    return unit.members().stream()
        .filter(keyword -> keyword.normal().equals(unit.name()))
        .findFirst()
        .orElseThrow();
  }

  /**
   * Puts free units into the groups that their words tell, before meaning is asked.
   *
   * @param groupOf the group of each unit by pages, named by its first unit
   */
  int[] told(int[] groupOf) {
    Map<Integer, List<Integer>> groups = groups(groupOf);
    Map<Integer, Part> parts = new HashMap<>();
    return new TellingWords(units, groupOf)
        .join(
            groupOf,
            (unit, group) ->
                groups.containsKey(group)
                    && asking(List.of(unit))
                        .mayJoin(parts.computeIfAbsent(group, g -> asking(groups.get(g)))));
  }

  /** What the units ask for, in which languages; without what they mean. */
  private Part asking(List<Integer> group) {
    return group.stream()
        .map(unit -> wishing(unit, Profile.NOTHING, false))
        .reduce(Part::plus)
        .orElseThrow();
  }

  /** The units of each group that others may join. */
  private Map<Integer, List<Integer>> groups(int[] groupOf) {
    Map<Integer, List<Integer>> groups = new TreeMap<>();
    for (int unit = 0; unit < groupOf.length; unit++) {
      if (!units.get(unit).isLocked()) {
        groups.computeIfAbsent(groupOf[unit], g -> new ArrayList<>()).add(unit);
      }
    }
    return groups;
  }

  /**
   * Joins.
   *
   * @param groupOf the group of each unit so far, named by its first unit
   * @return the same with the free units joined
   */
  int[] join(int[] groupOf) {
    Map<Integer, List<Integer>> groups = groups(groupOf);
    if (groups.values().stream().allMatch(this::isFixed)) {
      return groupOf;
    }
    List<Integer> taking = takingPart(groups);
    Map<Integer, List<Integer>> speaking = new HashMap<>();
    taking.forEach(group -> speaking.put(group, speaking(groups.get(group))));
    nearness()
        .prepare(
            speaking.values().stream()
                .flatMap(List::stream)
                .map(unit -> phrase(units.get(unit)))
                .toList());
    List<Part> parts =
        taking.stream().map(group -> part(groups.get(group), speaking.get(group))).toList();
    int[] joined = new NearLinkage(nearness(), settings.leastNear(), parts).join();
    int[] result = groupOf.clone();
    for (int i = 0; i < joined.length; i++) {
      for (int unit : groups.get(taking.get(i))) {
        result[unit] = taking.get(joined[i]);
      }
    }
    return result;
  }

  /** The free units, and the groups that may take them in. */
  private List<Integer> takingPart(Map<Integer, List<Integer>> groups) {
    List<Integer> free = new ArrayList<>();
    List<Integer> fixed = new ArrayList<>();
    groups.forEach((group, its) -> (isFixed(its) ? fixed : free).add(group));
    List<Integer> taking = new ArrayList<>(free);
    if (fixed.size() <= MOST_GROUPS) {
      taking.addAll(fixed);
    } else {
      Set<String> rare = rareStems(free.stream().flatMap(g -> groups.get(g).stream()).toList());
      fixed.stream().filter(group -> hasAny(groups.get(group), rare)).forEach(taking::add);
    }
    taking.sort(null);
    return taking;
  }

  private Set<String> rareStems(List<Integer> of) {
    Map<String, Integer> counts = new HashMap<>();
    units.forEach(unit -> unit.stems().forEach(stem -> counts.merge(stem, 1, Integer::sum)));
    Set<String> rare = new HashSet<>();
    of.forEach(unit -> rare.addAll(units.get(unit).stems()));
    rare.removeIf(stem -> counts.get(stem) > RARE);
    return rare;
  }

  private boolean hasAny(List<Integer> group, Set<String> stems) {
    return speaking(group).stream()
        .anyMatch(unit -> units.get(unit).stems().stream().anyMatch(stems::contains));
  }

  /** Whether pages or people made it; more than one unit only they can have put together so far. */
  private boolean isFixed(List<Integer> group) {
    return group.size() > 1 || !units.get(group.get(0)).isFree();
  }

  /** The units that stand for a group: those without pages, else the first. */
  private List<Integer> speaking(List<Integer> group) {
    List<Integer> without =
        group.stream().filter(unit -> units.get(unit).pages().isEmpty()).toList();
    return without.size() == group.size()
        ? without
        : (without.isEmpty() ? group : without).stream().limit(STANDING_FOR_ALL).toList();
  }

  private Part part(List<Integer> group, List<Integer> speaking) {
    Part sum = null;
    for (int unit : speaking) {
      Part its = part(unit, isFixed(group));
      sum = sum == null ? its : sum.plus(its);
    }
    return Objects.requireNonNull(sum);
  }

  private Part part(int number, boolean fixed) {
    return wishing(number, nearness().profile(phrase(units.get(number))), fixed);
  }

  private Part wishing(int number, Profile profile, boolean fixed) {
    Unit unit = units.get(number);
    Set<Wish> wishes = EnumSet.noneOf(Wish.class);
    unit.members().stream()
        .map(keyword -> intents.wish(keyword.text(), keyword.language()))
        .forEach(wishes::add);
    Language language = unit.members().get(0).language();
    return new Part(profile, fixed, wishes, EnumSet.of(language));
  }

  /** In strict mode: the unit became the primary of its group. */
  void addPrimary(int unit) {
    primaries.add(unit);
  }

  /** The primary nearest in meaning to a unit, where either has few pages and it is near enough. */
  OptionalInt nearestPrimary(int unit) {
    int best = -1;
    long most = 0;
    for (int other : near()[unit]) {
      boolean free = units.get(unit).hasFewPages() || units.get(other).hasFewPages();
      if (free && primaries.contains(other) && part(unit, false).mayJoin(part(other, false))) {
        long its =
            NearLinkage.steps(nearness().of(phrase(units.get(unit)), phrase(units.get(other))));
        if (its > most) {
          best = other;
          most = its;
        }
      }
    }
    return best < 0 ? OptionalInt.empty() : OptionalInt.of(best);
  }

  /** For each unit the others that are near enough. */
  private int[][] near() {
    if (near == null) {
      Map<Integer, List<Integer>> alone = new TreeMap<>();
      for (int unit = 0; unit < units.size(); unit++) {
        alone.put(unit, List.of(unit));
      }
      int[] taking = takingPart(alone).stream().mapToInt(Integer::intValue).toArray();
      nearness().prepare(Arrays.stream(taking).mapToObj(u -> phrase(units.get(u))).toList());
      int[][] pairs =
          NearPairs.of(
              nearness(),
              Arrays.stream(taking)
                  .mapToObj(u -> nearness().profile(phrase(units.get(u))))
                  .toList(),
              settings.leastNear());
      near = new int[units.size()][0];
      for (int i = 0; i < taking.length; i++) {
        near[taking[i]] = IntStream.of(pairs[i]).map(p -> taking[p]).toArray();
      }
    }
    return near;
  }
}
