package osmerin.core.landscape;

import java.util.ArrayList;
import java.util.List;
import osmerin.core.worth.SiteReach;

/**
 * Groups by difficulty, to the right, and demand, upwards on a logarithmic scale, with the line at
 * which a site's chance is one half and the band between a chance of a quarter and of three
 * quarters.
 *
 * @param marks in the order of the groups
 * @param ticks of demand, from below to above
 * @param line x where the chance is 0.5
 * @param sure x left of which the chance is above 0.75
 * @param unlikely x right of which the chance is below 0.25
 */
public record DemandPlot(
    List<Circle> marks, List<Tick> ticks, double line, double sure, double unlikely) {
  /** A mark's least and greatest radius in pixels. */
  private static final double LEAST = 4;

  private static final double GREATEST = 14;

  /** What is plotted; difficulty 0–100, demand in searches a month. */
  public record Point(double difficulty, long demand, double hours) {}

  /** A line across at a demand. */
  public record Tick(long demand, double y) {}

  public DemandPlot {
    marks = List.copyOf(marks);
    ticks = List.copyOf(ticks);
  }

  /**
   * Plots points.
   *
   * @param width of the field in pixels, difficulty 0 at its left and 100 at its right edge
   */
  public static DemandPlot of(List<Point> points, SiteReach reach, double width, double height) {
    long bottom = bottom(points);
    long top = top(points, bottom);
    double decades = Math.log10(top) - Math.log10(bottom);
    double longest = points.stream().mapToDouble(Point::hours).max().orElse(1);
    List<Circle> marks = new ArrayList<>();
    for (Point point : points) {
      marks.add(
          new Circle(
              x(point.difficulty(), width),
              y(point.demand(), bottom, decades, height),
              Math.max(LEAST, GREATEST * Math.sqrt(point.hours() / longest) / 2)));
    }
    List<Tick> ticks = new ArrayList<>();
    for (long demand = bottom; demand <= top; demand *= 10) {
      ticks.add(new Tick(demand, y(demand, bottom, decades, height)));
    }
    return new DemandPlot(
        marks,
        ticks,
        x(reach.difficultyAt(0.5), width),
        x(reach.difficultyAt(0.75), width),
        x(reach.difficultyAt(0.25), width));
  }

  private static double y(long demand, long bottom, double decades, double height) {
    return height * (1 - (Math.log10(Math.max(bottom, demand)) - Math.log10(bottom)) / decades);
  }

  /** The power of ten at or below the lowest demand. */
  private static long bottom(List<Point> points) {
    long lowest = points.stream().mapToLong(Point::demand).min().orElse(1);
    long bottom = 1;
    while (bottom * 10 <= lowest) {
      bottom *= 10;
    }
    return bottom;
  }

  /** The power of ten at or above the highest demand. */
  private static long top(List<Point> points, long bottom) {
    long highest = points.stream().mapToLong(Point::demand).max().orElse(1);
    long top = bottom * 10;
    while (top < highest) {
      top *= 10;
    }
    return top;
  }

  private static double x(double difficulty, double width) {
    return width * Math.min(100, Math.max(0, difficulty)) / 100;
  }
}
