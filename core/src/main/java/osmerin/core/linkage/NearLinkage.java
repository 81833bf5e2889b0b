package osmerin.core.linkage;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.meaning.NearPairs;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Profile;
import osmerin.core.text.Language;

/**
 * Average linkage by meaning: of all clusters that may be one, the two of highest mean nearness
 * become one, until no mean reaches the least. Ties fall to the pair with the first part. As in
 * {@link AverageLinkage} nearest-neighbour chains find them, and clusters are compared only when a
 * part of one is near a part of the other, since a mean that reaches the least needs such a pair.
 */
public final class NearLinkage {
  private static final int NONE = -1;

  /** Means are compared in steps of so much, so that sums taken in another order are the same. */
  private static final double STEPS = 1e5;

  private static final double STEP_END = 0.381966011;

  private final Nearness nearness;
  private final double least;
  private final int[] parent;
  private final Part[] parts;
  private final int[][] around;
  private final boolean[] finished;
  private final int[] asked;
  private int turn;

  /**
   * What is to be joined: a unit, or units that are together already.
   *
   * @param profile the sum of those of its units
   * @param fixed whether pages or people hold it together; two such parts stay apart
   * @param wishes what its units ask for
   */
  public record Part(Profile profile, boolean fixed, Set<Wish> wishes, Set<Language> languages) {
    public Part plus(Part other) {
      return new Part(
          profile.plus(other.profile),
          fixed || other.fixed,
          union(wishes, other.wishes, Wish.class),
          union(languages, other.languages, Language.class));
    }

    private static <E extends Enum<E>> Set<E> union(Set<E> a, Set<E> b, Class<E> type) {
      Set<E> both = EnumSet.noneOf(type);
      both.addAll(a);
      both.addAll(b);
      return both;
    }

    /** Whether meaning alone may join the two: what they ask for and their languages agree. */
    public boolean mayJoin(Part other) {
      boolean oneLanguage =
          languages.containsAll(other.languages) || other.languages.containsAll(languages);
      return !(fixed && other.fixed) && oneLanguage && agree(wishes, other.wishes);
    }

    private static boolean agree(Set<Wish> a, Set<Wish> b) {
      return a.containsAll(b)
          || b.containsAll(a)
          || a.stream().allMatch(mine -> b.stream().allMatch(mine::agreesWith));
    }
  }

  /**
   * @param least mean nearness at which two are joined, above 0
   */
  public NearLinkage(Nearness nearness, double least, List<Part> parts) {
    this.nearness = nearness;
    this.least = least;
    this.parts = parts.toArray(Part[]::new);
    parent = IntStream.range(0, parts.size()).toArray();
    finished = new boolean[parent.length];
    asked = new int[parent.length];
    around = NearPairs.of(nearness, parts.stream().map(Part::profile).toList(), least);
  }

  /** Joins; the cluster of each part, named by the first part of it. */
  public int[] join() {
    int[] chain = new int[parent.length + 1];
    for (int part = 0; part < parent.length; part++) {
      follow(part, chain);
    }
    return IntStream.range(0, parent.length).map(this::find).toArray();
  }

  private void follow(int part, int[] chain) {
    int length = 0;
    while (length > 0 || !finished[find(part)]) {
      if (length == 0) {
        chain[length++] = find(part);
      }
      int top = chain[length - 1];
      int near = nearest(top);
      if (near == NONE) {
        finished[top] = true;
        length--;
      } else if (length > 1 && near == chain[length - 2]) {
        merge(top, near);
        length -= 2;
      } else {
        chain[length++] = near;
      }
    }
  }

  private int find(int part) {
    return Numbered.first(parent, part);
  }

  private void merge(int a, int b) {
    int into = Math.min(a, b);
    int from = Math.max(a, b);
    parts[into] = parts[into].plus(parts[from]);
    parent[from] = into;
    int[] both = Arrays.copyOf(around[into], around[into].length + around[from].length);
    System.arraycopy(around[from], 0, both, around[into].length, around[from].length);
    around[into] = both;
    around[from] = new int[0];
  }

  private int nearest(int cluster) {
    turn++;
    asked[cluster] = turn;
    int best = NONE;
    long most = steps(least);
    int kept = 0;
    for (int part : around[cluster]) {
      int other = find(part);
      if (asked[other] != turn) {
        asked[other] = turn;
        around[cluster][kept++] = other;
        if (parts[cluster].mayJoin(parts[other])) {
          long mean = steps(nearness.of(parts[cluster].profile(), parts[other].profile()));
          if (mean > most || mean == most && (best == NONE || other < best)) {
            best = other;
            most = mean;
          }
        }
      }
    }
    around[cluster] = Arrays.copyOf(around[cluster], kept);
    return best;
  }

  /** A nearness, or a mean of such, in whole steps. */
  public static long steps(double nearness) {
    return (long) Math.floor(nearness * STEPS + STEP_END);
  }
}
