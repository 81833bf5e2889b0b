package osmerin.core.group;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Membership.Basis;
import osmerin.core.group.Membership.Neighbour;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.meaning.Profile;

/** For each keyword of a group that shares no page with the others, those nearest in meaning. */
final class NearMembers {
  /** Of the keywords of a group so many are looked at, those with most volume. */
  private static final int LOOKED_AT = 64;

  private final Nearness nearness;
  private final List<Keyword> keywords;
  private final @Nullable Profile[] profiles;

  /**
   * @param keywords of one group, the primary keyword first
   * @param variants the key of each keyword's close variants, which are all represented by one
   * @param asked which of the keywords are asked for
   */
  NearMembers(Nearness nearness, List<Keyword> keywords, String[] variants, IntPredicate asked) {
    this.nearness = nearness;
    this.keywords = keywords;
    Map<String, Keyword> first = new HashMap<>();
    for (int i = 0; i < variants.length; i++) {
      first.merge(
          variants[i], keywords.get(i), (a, b) -> a.normal().compareTo(b.normal()) <= 0 ? a : b);
    }
    Map<Integer, Phrase> phrases = new TreeMap<>();
    for (int i = 0; i < variants.length; i++) {
      if (i < LOOKED_AT || asked.test(i)) {
        phrases.put(i, Phrase.of(first.get(variants[i])));
      }
    }
    nearness.prepare(phrases.values());
    profiles = new Profile[variants.length];
    phrases.forEach((i, phrase) -> profiles[i] = nearness.profile(phrase));
  }

  /** How near a keyword is to the primary keyword. */
  double toFirst(int keyword) {
    return near(keyword, 0);
  }

  /** The nearest of the others, the primary keyword not among them. */
  List<Neighbour> of(int keyword, int most) {
    List<Neighbour> all = new ArrayList<>();
    for (int other = 1; other < Math.min(LOOKED_AT, keywords.size()); other++) {
      if (other != keyword) {
        all.add(new Neighbour(keywords.get(other), 0, near(keyword, other)));
      }
    }
    return all.stream()
        .sorted(Comparator.comparingDouble((Neighbour near) -> -near.nearness()))
        .limit(most)
        .toList();
  }

  /** What put a keyword there: what it means or how it is spelled, if it is near enough to any. */
  Basis basis(int keyword, List<Neighbour> nearest, double least) {
    boolean near = toFirst(keyword) >= least;
    for (Neighbour neighbour : nearest) {
      near |= neighbour.nearness() >= least;
    }
    boolean spelled = profile(keyword).meaning() == null;
    return !near ? Basis.KEPT : spelled ? Basis.WORDS : Basis.MEANING;
  }

  private double near(int a, int b) {
    return a == b ? 1 : nearness.of(profile(a), profile(b));
  }

  private Profile profile(int keyword) {
    return Objects.requireNonNull(profiles[keyword]);
  }
}
