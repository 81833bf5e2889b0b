package osmerin.core.landscape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import osmerin.core.text.TextWidth;

/**
 * A name in lines that fit into a circle, perhaps with a figure below it.
 *
 * @param lines from top to bottom
 * @param size of the letters, in pixels
 * @param top the base line of the first line, from the circle's middle; the others follow by {@link
 *     #lineHeight()}
 * @param figure the base line of the figure from the middle, {@link Double#NaN} when there is no
 *     room for it
 * @param figureText the figure as far as there is room for it, "31,500 a month" or "31,500"
 */
public record Label(List<String> lines, int size, double top, double figure, String figureText) {
  private static final int[] SIZES = {20, 18, 16, 15, 14, 13, 12, 11};
  private static final int FIGURE_SIZE = 12;
  private static final int MOST_LINES = 3;
  private static final double LINE = 1.16;

  /** From a base line up to the top of the letters, and down to the bottom, by their size. */
  private static final double UP = 0.75;

  private static final double DOWN = 0.25;

  /** Kept free at either end of a line. */
  private static final double MARGIN = 3;

  public Label {
    lines = List.copyOf(lines);
  }

  public double lineHeight() {
    return size * LINE;
  }

  public boolean hasFigure() {
    return !Double.isNaN(figure);
  }

  /**
   * The largest label that fits: with the figure, else with its number only, else the name alone.
   *
   * @param radius free for it around the middle
   * @param figure what stands below the name if there is room
   * @return none when not even the smallest fits
   */
  public static Optional<Label> fit(String name, String figure, double radius) {
    return fitting(name, figure, radius)
        .or(() -> fitting(name, figure.replace(" a month", ""), radius))
        .or(() -> fitting(name, "", radius));
  }

  private static Optional<Label> fitting(String name, String figure, double radius) {
    for (int size : SIZES) {
      for (int count = 1; count <= MOST_LINES; count++) {
        Optional<Label> label =
            wrapped(name, count, size, radius).flatMap(lines -> place(lines, size, figure, radius));
        if (label.isPresent()) {
          return label;
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<Label> place(List<String> lines, int size, String figure, double radius) {
    double height = size * (UP + DOWN) + (lines.size() - 1) * size * LINE;
    double below = figure.isEmpty() ? 0 : FIGURE_SIZE * 1.5;
    double top = -(height + below) / 2 + size * UP;
    for (int i = 0; i < lines.size(); i++) {
      double base = top + i * size * LINE;
      if (!fits(
          TextWidth.AT_MOST.of(lines.get(i), size), base - size * UP, base + size * DOWN, radius)) {
        return Optional.empty();
      }
    }
    double base = top + (lines.size() - 1) * size * LINE + size * DOWN + FIGURE_SIZE * 1.25;
    boolean room =
        figure.isEmpty()
            || fits(
                TextWidth.AT_MOST.of(figure, FIGURE_SIZE),
                base - FIGURE_SIZE * UP,
                base + FIGURE_SIZE * DOWN,
                radius);
    return room
        ? Optional.of(new Label(lines, size, top, figure.isEmpty() ? Double.NaN : base, figure))
        : Optional.empty();
  }

  private static boolean fits(double width, double from, double to, double radius) {
    double far = Math.max(Math.abs(from), Math.abs(to));
    return far < radius && width + 2 * MARGIN <= 2 * Math.sqrt(radius * radius - far * far);
  }

  /** The words in so many lines of nearly the same length; none when a line is too long. */
  private static Optional<List<String>> wrapped(String name, int count, int size, double radius) {
    List<String> words = Arrays.asList(name.strip().split("\\s+"));
    if (words.size() < count) {
      return Optional.empty();
    }
    double longest = TextWidth.AT_MOST.of(name, size) / count;
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (int i = 0; i < words.size(); i++) {
      String longer = line.isEmpty() ? words.get(i) : line + " " + words.get(i);
      boolean mustBreak = words.size() - i <= count - lines.size() - 1;
      boolean full = TextWidth.AT_MOST.of(longer, size) > longest * 1.15;
      if (!line.isEmpty() && lines.size() < count - 1 && (full || mustBreak)) {
        lines.add(line.toString());
        line = new StringBuilder(words.get(i));
      } else {
        line = new StringBuilder(longer);
      }
    }
    lines.add(line.toString());
    boolean tooLong = lines.stream().anyMatch(l -> TextWidth.AT_MOST.of(l, size) > 2 * radius);
    return tooLong || lines.size() != count ? Optional.empty() : Optional.of(lines);
  }
}
