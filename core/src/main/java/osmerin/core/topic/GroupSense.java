package osmerin.core.topic;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Grouping;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership.Basis;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.NearPairs;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.meaning.Profile;

/**
 * What groups mean: the sum of what their keywords mean, close variants once. Of more groups than
 * {@value #MOST_GROUPS} only those are understood that meaning made, since their keywords are known
 * by then.
 */
final class GroupSense {
  private static final int MOST_GROUPS = 2_000;

  /** So many keywords stand for a group. */
  private static final int STANDING_FOR_ALL = 8;

  /** Groups that are farther than this are no neighbours. */
  private static final double LEAST = 0.15;

  private final Nearness nearness;
  private final @Nullable Profile[] profiles;

  private GroupSense(Nearness nearness, @Nullable Profile[] profiles) {
    this.nearness = nearness;
    this.profiles = profiles;
  }

  static @Nullable GroupSense of(List<KeywordGroup> groups, @Nullable Meaning meaning) {
    List<List<Phrase>> phrases =
        groups.stream()
            .map(
                group ->
                    groups.size() <= MOST_GROUPS || isMadeByMeaning(group)
                        ? phrases(group)
                        : List.<Phrase>of())
            .toList();
    if (meaning == null || phrases.stream().allMatch(List::isEmpty)) {
      return null;
    }
    List<Phrase> all = phrases.stream().flatMap(List::stream).toList();
    Nearness nearness = Nearness.among(meaning, all);
    nearness.prepare(all);
    @Nullable Profile[] profiles =
        phrases.stream().map(its -> sum(nearness, its)).toArray(Profile[]::new);
    return new GroupSense(nearness, profiles);
  }

  private static boolean isMadeByMeaning(KeywordGroup group) {
    return group.members().stream().allMatch(m -> Grouping.hasFewPages(m.keyword()));
  }

  /** Of a group that pages made the primary keyword stands for all. */
  private static List<Phrase> phrases(KeywordGroup group) {
    if (!isMadeByMeaning(group)) {
      return List.of(Phrase.of(group.primary()));
    }
    Set<Phrase> phrases = new LinkedHashSet<>();
    group.members().stream()
        .filter(m -> m.basis() != Basis.VARIANT)
        .map(m -> m.keyword())
        .limit(STANDING_FOR_ALL)
        .map((Keyword keyword) -> Phrase.of(keyword))
        .forEach(phrases::add);
    phrases.add(Phrase.of(group.primary()));
    return new ArrayList<>(phrases);
  }

  private static @Nullable Profile sum(Nearness nearness, List<Phrase> phrases) {
    Profile sum = null;
    for (Phrase phrase : phrases) {
      Profile its = nearness.profile(phrase);
      sum = sum == null ? its : sum.plus(its);
    }
    return sum == null || sum.meaning() == null ? null : sum.unit();
  }

  /** Of each group, of product 1 with itself; null where it is not understood. */
  @Nullable Profile[] profiles() {
    return profiles.clone();
  }

  /** How near a phrase is to each of some groups on average, 0–1. */
  double near(Phrase phrase, List<Integer> groups) {
    Profile its = nearness.profile(phrase).unit();
    return groups.stream()
        .map(group -> profiles[group])
        .mapToDouble(profile -> profile == null ? 0 : Math.max(0, its.product(profile)))
        .average()
        .orElse(0);
  }

  /** For each group others that are near in meaning. */
  int[][] near() {
    int[] known = IntStream.range(0, profiles.length).filter(i -> profiles[i] != null).toArray();
    List<Profile> understood = IntStream.of(known).mapToObj(i -> profiles[i]).toList();
    int[][] pairs = NearPairs.of(nearness, understood, LEAST);
    int[][] near = new int[profiles.length][0];
    for (int i = 0; i < known.length; i++) {
      near[known[i]] = IntStream.of(pairs[i]).map(p -> known[p]).toArray();
    }
    return near;
  }
}
