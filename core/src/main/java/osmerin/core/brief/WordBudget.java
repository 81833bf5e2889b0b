package osmerin.core.brief;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import osmerin.core.brief.Outline.Section;

/**
 * Shares out the words of an article among its sections. Budgets are in tens where there is room
 * for that, and add up to the target to the word.
 */
public final class WordBudget {
  /** Nobody writes to the word. */
  private static final int STEP = 10;

  /** A section gets at least so much of what is left, or the others give way. */
  private static final int FEWEST = 30;

  private WordBudget() {}

  /**
   * The same outline with budgets that add up to the target and keep their shares; sections without
   * one stay without.
   */
  public static Outline scaled(Outline outline, int target) {
    if (outline.words() == target || outline.words() == 0) {
      return outline;
    }
    return with(outline, divided(budgets(outline), target));
  }

  /**
   * The same outline with a budget for every section: those that have none share what the others
   * leave; where too little is left, they get as much as the others have on average and all give
   * way.
   */
  public static Outline shared(Outline outline, int target) {
    double[] weights = budgets(outline);
    int missing = (int) Arrays.stream(weights).filter(words -> words == 0).count();
    if (missing == 0) {
      return scaled(outline, target);
    }
    int given = weights.length - missing;
    int left = target - outline.words();
    if (left >= missing * FEWEST) {
      int[] rest = divided(IntStream.range(0, missing).mapToDouble(i -> 1).toArray(), left);
      int[] all = new int[weights.length];
      for (int i = 0, next = 0; i < all.length; i++) {
        all[i] = weights[i] == 0 ? rest[next++] : (int) weights[i];
      }
      return with(outline, all);
    }
    double average = given == 0 ? 1 : (double) outline.words() / given;
    double[] filled = Arrays.stream(weights).map(w -> w == 0 ? average : w).toArray();
    return with(outline, divided(filled, target));
  }

  private static double[] budgets(Outline outline) {
    return outline.sections().stream()
        .mapToDouble(section -> section.words() == null ? 0 : section.words())
        .toArray();
  }

  private static Outline with(Outline outline, int[] words) {
    List<Section> sections = new ArrayList<>();
    for (int i = 0; i < words.length; i++) {
      sections.add(outline.sections().get(i).of(words[i]));
    }
    return new Outline(sections);
  }

  /** Whole numbers in proportion to weights, by largest remainder, the earlier first at a tie. */
  private static int[] divided(double[] weights, int target) {
    double all = Arrays.stream(weights).sum();
    double smallest = Arrays.stream(weights).filter(w -> w > 0).min().orElse(0) / all * target;
    int step = smallest >= STEP ? STEP : 1;
    double[] exact = Arrays.stream(weights).map(w -> w / all * target / step).toArray();
    int[] words = Arrays.stream(exact).mapToInt(steps -> (int) Math.floor(steps + 1e-9)).toArray();
    List<Integer> order =
        IntStream.range(0, weights.length)
            .boxed()
            .filter(i -> weights[i] > 0)
            .sorted(
                Comparator.comparingLong((Integer i) -> -Math.round((exact[i] - words[i]) * 1e9)))
            .toList();
    int left = target / step - Arrays.stream(words).sum();
    for (int k = 0; k < left; k++) {
      words[order.get(k % order.size())]++;
    }
    int[] result = Arrays.stream(words).map(steps -> steps * step).toArray();
    result[largest(result)] += target % step;
    for (int i = 0; i < result.length; i++) {
      // A section that had words keeps some.
      if (weights[i] > 0 && result[i] == 0 && result[largest(result)] > 1) {
        result[largest(result)]--;
        result[i]++;
      }
    }
    return result;
  }

  /** The first at a tie. */
  private static int largest(int[] words) {
    return IntStream.range(0, words.length)
        .boxed()
        .max(Comparator.comparingInt((Integer i) -> words[i]).thenComparing(i -> -i))
        .orElseThrow();
  }
}
