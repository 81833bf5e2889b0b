package osmerin.core.landscape;

/** A circle in a picture; x to the right, y down. */
public record Circle(double x, double y, double r) {
  /** Whether the two overlap by more than rounding. */
  boolean overlaps(Circle other) {
    double near = r + other.r - 1e-7 * (r + other.r);
    double dx = x - other.x;
    double dy = y - other.y;
    return dx * dx + dy * dy < near * near;
  }

  /** To tenths, which nobody can tell from more. */
  public Circle rounded() {
    return new Circle(tenths(x), tenths(y), tenths(r));
  }

  private static double tenths(double length) {
    return Math.round(length * 10) / 10.0;
  }

  Circle scaled(double factor, double dx, double dy) {
    return new Circle(x * factor + dx, y * factor + dy, r * factor);
  }
}
