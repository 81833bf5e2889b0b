package osmerin.app.steps;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import osmerin.core.runup.HoursText;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeBars;
import osmerin.core.runup.RunUpStep;
import osmerin.core.text.Counted;

/**
 * A recipe drawn as bars on a line of working days around the publish day. Places are percent of
 * the width.
 *
 * @param days the columns; days far from any bar are left out
 * @param bars one for each step, in their order
 * @param live where the publish day begins
 */
public record RecipeDrawing(String summary, List<Day> days, List<Bar> bars, double live) {
  /** At most so many days carry a label. */
  private static final int MOST_LABELS = 12;

  /** Of a column, what a step of no length of its own takes. */
  private static final double SAME_DAY = 0.25;

  /**
   * A column.
   *
   * @param label "−3", "live", "…" where days are left out, or empty
   */
  public record Day(double x, double width, String label) {}

  /** A step's bar. */
  public record Bar(String name, double x, double width, boolean deciding, String words) {}

  /** Draws a recipe that is sound. */
  public static RecipeDrawing of(Recipe recipe) {
    RecipeBars bars = RecipeBars.of(recipe.steps());
    List<Integer> shown = shown(bars);
    double width = 100.0 / shown.size();
    List<Bar> drawn = new ArrayList<>();
    for (RecipeBars.Bar bar : bars.bars()) {
      drawn.add(bar(bar, shown, width));
    }
    return new RecipeDrawing(
        summary(recipe.steps(), bars), days(shown, width), drawn, shown.indexOf(0) * width);
  }

  private static String summary(List<RunUpStep> steps, RecipeBars bars) {
    double hours = steps.stream().mapToDouble(RunUpStep::estimate).sum();
    return "%s, %s %s, %s before it goes live."
        .formatted(
            Counted.of(steps.size(), "step"),
            HoursText.of(hours),
            hours == 1 ? "hour" : "hours",
            Counted.of(bars.daysBefore(), "working day"));
  }

  /** Every day from the first bar to the day after publishing, then the days of follow-ups. */
  private static List<Integer> shown(RecipeBars bars) {
    TreeSet<Integer> days = new TreeSet<>();
    for (int day = -Math.max(1, bars.daysBefore()); day <= 1; day++) {
      days.add(day);
    }
    for (RecipeBars.Bar bar : bars.bars()) {
      for (int day = bar.from(); day <= bar.to(); day++) {
        days.add(day);
      }
    }
    return List.copyOf(days);
  }

  private static Bar bar(RecipeBars.Bar bar, List<Integer> shown, double width) {
    int from = shown.indexOf(bar.from());
    int to = shown.indexOf(bar.to());
    boolean sameDay = bar.step().length() == 0;
    double x = sameDay ? (to + 1 - SAME_DAY) * width : from * width;
    double wide = sameDay ? SAME_DAY * width : (to - from + 1) * width;
    return new Bar(bar.step().name(), x, wide, bar.deciding(), words(bar));
  }

  private static String words(RecipeBars.Bar bar) {
    String span =
        bar.from() == bar.to() ? label(bar.to()) : label(bar.from()) + " to " + label(bar.to());
    return bar.step().name() + ": " + span + (bar.deciding() ? ", decides" : "");
  }

  private static List<Day> days(List<Integer> shown, double width) {
    int every = Math.max(1, (int) Math.ceil(shown.size() / (double) MOST_LABELS));
    List<Day> days = new ArrayList<>();
    for (int i = 0; i < shown.size(); i++) {
      int day = shown.get(i);
      boolean gap = i > 0 && day - shown.get(i - 1) > 1;
      boolean labelled = day == 0 || gap || Math.floorMod(day, every) == 0;
      String label = labelled ? label(day) : "";
      days.add(new Day(i * width, width, gap ? "… " + label : label));
    }
    return days;
  }

  /** "−3", "live", "+2". */
  private static String label(int day) {
    return day == 0 ? "live" : day < 0 ? "−" + -day : "+" + day;
  }
}
