package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.keyword.PageAddress;
import osmerin.core.meaning.Profile;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;

/**
 * How alike groups are: how near they are in meaning, or the cosine of their words weighted by
 * rarity (tf · idf) where meaning is not understood, and the cosine of the sites that rank for
 * them, in equal parts; without sites where none are known. Groups of different languages are not
 * alike. Each group keeps only its nearest neighbours, found through an index that leaves out the
 * commonest features, so the cost stays near-linear.
 */
final class Likeness {
  private static final int NEIGHBOURS = 8;

  private static final ThreadLocal<SharedFeatures> SHARED =
      ThreadLocal.withInitial(SharedFeatures::new);

  /** For each group its neighbours and how alike they are, symmetric, 0–1. */
  private final List<Map<Integer, Double>> neighbours = new ArrayList<>();

  private final FeatureVectors words;
  private final FeatureVectors sites;
  private final Language[] languages;
  private final @Nullable Profile[] meanings;

  Likeness(List<KeywordGroup> groups, Stems stems) {
    this(groups, stems, null);
  }

  /**
   * @param sense null where there is no meaning
   */
  Likeness(List<KeywordGroup> groups, Stems stems, @Nullable GroupSense sense) {
    words = new FeatureVectors(groups.parallelStream().map(g -> words(g, stems)).toList());
    sites = new FeatureVectors(groups.parallelStream().map(Likeness::sites).toList());
    languages = groups.stream().map(g -> g.primary().language()).toArray(Language[]::new);
    meanings = sense == null ? new Profile[languages.length] : sense.profiles();
    groups.forEach(g -> neighbours.add(new TreeMap<>()));
    int[][] near = sense == null ? new int[languages.length][0] : sense.near();
    IntStream.range(0, languages.length)
        .parallel()
        .mapToObj(i -> nearest(i, near[i]))
        .toList()
        .forEach(its -> keep(its.of(), its));
  }

  /** One walk over the index sums what groups share, so nothing is computed pair by pair. */
  private Nearest nearest(int i, int[] near) {
    SharedFeatures shared = SHARED.get().of(languages.length, words.commons(), sites.commons());
    words.share(i, shared.words, shared);
    sites.share(i, shared.sites, shared);
    words.spread(i, shared.commonWords);
    sites.spread(i, shared.commonSites);
    Arrays.stream(near).forEach(shared::touch);
    Nearest nearest = new Nearest(i);
    for (int k = 0; k < shared.size; k++) {
      int j = shared.groups[k];
      double alike = j == i || languages[i] != languages[j] ? 0 : alike(i, j, shared, nearest);
      if (alike > 0) {
        nearest.offer(j, alike);
      }
    }
    shared.clear();
    words.gather(i, shared.commonWords);
    sites.gather(i, shared.commonSites);
    return nearest;
  }

  /** How alike two groups are, 0 where they are surely too far apart to be among the nearest. */
  private double alike(int i, int j, SharedFeatures shared, Nearest nearest) {
    Profile mine = meanings[i];
    Profile theirs = meanings[j];
    boolean byWords = mine == null || theirs == null;
    double mostWords = byWords ? shared.words[j] + words.mostCommon(i, j) : 1;
    if (mean(i, j, mostWords, shared.sites[j] + sites.mostCommon(i, j)) < nearest.least()) {
      return 0;
    }
    double likeness =
        byWords
            ? shared.words[j] + words.common(shared.commonWords, j)
            : Math.max(0, mine.product(theirs));
    return mean(i, j, likeness, shared.sites[j] + sites.common(shared.commonSites, j));
  }

  /** How alike two groups are, 0–1. */
  double of(int a, int b) {
    if (languages[a] != languages[b]) {
      return 0;
    }
    Profile mine = meanings[a];
    Profile theirs = meanings[b];
    double likeness =
        mine == null || theirs == null ? words.cosine(a, b) : Math.max(0, mine.product(theirs));
    return mean(a, b, likeness, sites.cosine(a, b));
  }

  private double mean(int a, int b, double likeness, double bySites) {
    return sites.isEmpty(a) || sites.isEmpty(b) ? likeness : (likeness + bySites) / 2;
  }

  Map<Integer, Double> of(int group) {
    return neighbours.get(group);
  }

  private void keep(int i, Nearest nearest) {
    for (int k = 0; k < nearest.size; k++) {
      neighbours.get(i).put(nearest.groups[k], nearest.likeness[k]);
      neighbours.get(nearest.groups[k]).put(i, nearest.likeness[k]);
    }
  }

  /** The most alike of those offered, the first by number at a tie; only few are ever moved. */
  private static final class Nearest {
    private static final double ROUNDING = 1e-9;

    private final int of;
    private final int[] groups = new int[NEIGHBOURS];
    private final double[] likeness = new double[NEIGHBOURS];
    private int size;

    Nearest(int of) {
      this.of = of;
    }

    int of() {
      return of;
    }

    void offer(int group, double alike) {
      if (size == NEIGHBOURS && !isBefore(group, alike, size - 1)) {
        return;
      }
      int at = size == NEIGHBOURS ? size - 1 : size++;
      while (at > 0 && isBefore(group, alike, at - 1)) {
        groups[at] = groups[at - 1];
        likeness[at] = likeness[at - 1];
        at--;
      }
      groups[at] = group;
      likeness[at] = alike;
    }

    /** What a group must be alike to be kept, however small its number. */
    double least() {
      return size == NEIGHBOURS ? likeness[size - 1] - ROUNDING : 0;
    }

    private boolean isBefore(int group, double alike, int at) {
      return alike > likeness[at] || (alike == likeness[at] && group < groups[at]);
    }
  }

  private static Map<String, Double> words(KeywordGroup group, Stems stems) {
    Map<String, Double> counts = new HashMap<>();
    for (Membership member : group.members()) {
      stems
          .subject(member.keyword().text(), member.keyword().language())
          .forEach(stem -> counts.merge(stem, 1.0, Double::sum));
    }
    return counts;
  }

  private static Map<String, Double> sites(KeywordGroup group) {
    Map<PageAddress, Integer> pages = new HashMap<>();
    for (Membership member : group.members()) {
      member.keyword().pages().forEach(page -> pages.merge(page, 1, Integer::sum));
    }
    Map<String, Double> counts = new HashMap<>();
    pages.forEach((page, times) -> counts.merge(page.host(), (double) times, Double::sum));
    return counts;
  }
}
