package osmerin.core.group;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Stems;

/**
 * How well the members of a group hold together. One walk over the pages gives every member's mean:
 * a page that n members have is shared by each of them with n − 1 others.
 *
 * @param tightness the part of its ranking pages that a member shares with another on average, 0–1;
 *     null when fewer than two members have ranking pages
 * @param fits one for each member, the doubtful first, the weakest of those first
 */
public record Cohesion(@Nullable Double tightness, List<Fit> fits) {
  /** A member shares less than this part of what the members share on average. */
  private static final double WEAK = 0.5;

  /** Less than this part of its words is among those of the others. */
  private static final double STRANGE = 0.5;

  /**
   * How a member fits in.
   *
   * @param shared pages it shares with another member on average, null when it has none
   * @param words the part of its words, stop words apart, that other members have, 0–1
   * @param doubt why it may not belong here, null when nothing says so
   */
  public record Fit(
      Keyword keyword, @Nullable Double shared, double words, @Nullable Doubt doubt) {}

  /** Why a member may not belong to its group. */
  public enum Doubt {
    /** It shares far fewer pages with the others than they do with each other. */
    FEW_PAGES,
    /** It has no ranking pages, and most of its words are strange to the group. */
    STRANGE_WORDS
  }

  public Cohesion {
    fits = List.copyOf(fits);
  }

  /** Weighs the members, of whose ranking pages the first {@code depth} count. */
  public static Cohesion of(List<Keyword> keywords, int depth) {
    // In one order, so that sums do not depend on that of the caller.
    List<Keyword> members = keywords.stream().sorted(Grouping.PRIMARY_FIRST).toList();
    List<List<PageAddress>> pages =
        members.stream().map(k -> k.pages().stream().limit(depth).toList()).toList();
    @Nullable Double[] shared = shared(pages);
    double[] words = words(members);
    Double mean = mean(shared);
    List<Fit> fits = new ArrayList<>();
    boolean alone = members.size() < 2;
    for (int i = 0; i < shared.length; i++) {
      Doubt doubt = alone ? null : doubt(shared[i], words[i], mean);
      fits.add(new Fit(members.get(i), shared[i], words[i], doubt));
    }
    fits.sort(
        Comparator.<Fit, Boolean>comparing(f -> f.doubt() == null)
            .thenComparing(f -> f.doubt() == null ? 0 : weakness(f))
            .thenComparing(Fit::keyword, Grouping.PRIMARY_FIRST));
    return new Cohesion(tightness(pages, shared), fits);
  }

  private static double weakness(Fit fit) {
    return fit.shared() == null ? fit.words() : fit.shared();
  }

  private static @Nullable Doubt doubt(
      @Nullable Double shared, double words, @Nullable Double mean) {
    if (shared == null) {
      return words < STRANGE ? Doubt.STRANGE_WORDS : null;
    }
    return mean != null && shared < WEAK * mean ? Doubt.FEW_PAGES : null;
  }

  /** For each member the pages it shares with each of the others that have pages, on average. */
  private static @Nullable Double[] shared(List<List<PageAddress>> pages) {
    Map<PageAddress, Integer> counts = new HashMap<>();
    pages.forEach(its -> its.forEach(page -> counts.merge(page, 1, Integer::sum)));
    long withPages = pages.stream().filter(its -> !its.isEmpty()).count();
    @Nullable Double[] shared = new Double[pages.size()];
    for (int i = 0; i < shared.length; i++) {
      if (!pages.get(i).isEmpty() && withPages > 1) {
        int sum = pages.get(i).stream().mapToInt(page -> counts.get(page) - 1).sum();
        shared[i] = sum / (withPages - 1.0);
      }
    }
    return shared;
  }

  private static @Nullable Double mean(@Nullable Double[] shared) {
    double sum = 0;
    int count = 0;
    for (Double one : shared) {
      if (one != null) {
        sum += one;
        count++;
      }
    }
    return count < 3 ? null : sum / count;
  }

  private static @Nullable Double tightness(
      List<List<PageAddress>> pages, @Nullable Double[] shared) {
    double sum = 0;
    int own = 0;
    for (int i = 0; i < shared.length; i++) {
      if (shared[i] != null) {
        sum += shared[i];
        own += pages.get(i).size();
      }
    }
    return own == 0 ? null : sum / own;
  }

  private static double[] words(List<Keyword> members) {
    Stems stems = new Stems();
    List<Set<String>> all =
        members.parallelStream().map(k -> stems.subject(k.text(), k.language())).toList();
    Map<String, Integer> counts = new HashMap<>();
    all.forEach(its -> its.forEach(stem -> counts.merge(stem, 1, Integer::sum)));
    return all.stream()
        .mapToDouble(
            its -> its.stream().filter(s -> counts.get(s) > 1).count() / (double) its.size())
        .toArray();
  }
}
