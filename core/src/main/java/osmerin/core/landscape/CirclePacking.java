package osmerin.core.landscape;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Places circles close together without overlap: the largest in the middle, each further one at the
 * free place nearest to it that touches two of those placed. Small circles so fill the gaps between
 * large ones. The work is about the square of the number of circles.
 */
final class CirclePacking {
  private final double aspect;
  private final List<Circle> placed = new ArrayList<>();
  private @Nullable Circle inTheWay;

  private CirclePacking(double aspect) {
    this.aspect = aspect;
  }

  /**
   * Packs circles of these radii around the origin.
   *
   * @param radii above 0
   * @param aspect width over height of the picture they are to fill
   * @return the circles in the order of the radii
   */
  static List<Circle> pack(double[] radii, double aspect) {
    List<Integer> largestFirst =
        IntStream.range(0, radii.length)
            .boxed()
            .sorted(Comparator.<Integer>comparingDouble(i -> -radii[i]).thenComparing(i -> i))
            .toList();
    CirclePacking packing = new CirclePacking(aspect);
    Circle[] result = new Circle[radii.length];
    for (int i : largestFirst) {
      result[i] = packing.place(radii[i]);
    }
    return List.of(result);
  }

  private Circle place(double r) {
    Circle best =
        switch (placed.size()) {
          case 0 -> new Circle(0, 0, r);
          case 1 -> new Circle(placed.get(0).r() + r, 0, r);
          default -> nearest(r);
        };
    placed.add(best);
    return best;
  }

  /** Of the places where the circle would touch two that are placed, the nearest that is free. */
  private Circle nearest(double r) {
    Circle best = null;
    double least = Double.MAX_VALUE;
    for (int i = 0; i < placed.size(); i++) {
      // A circle that touches it cannot be nearer than by the way from its middle to the other's.
      if (distance(placed.get(i)) - 2 * placed.get(i).r() >= least) {
        continue;
      }
      List<Circle> around = around(i, r);
      for (Circle other : around) {
        for (Circle circle : touching(placed.get(i), other, r)) {
          double distance = distance(circle);
          if (distance < least - 1e-9 && isFree(circle, around)) {
            best = circle;
            least = distance;
          }
        }
      }
    }
    // Beside the outermost circle and one that touches it there is always room.
    return Objects.requireNonNull(best);
  }

  /** What stood in the way last often stands in the way of the next, too. */
  private boolean isFree(Circle circle, List<Circle> around) {
    if (inTheWay != null && circle.overlaps(inTheWay)) {
      return false;
    }
    for (Circle other : around) {
      if (circle.overlaps(other)) {
        inTheWay = other;
        return false;
      }
    }
    return true;
  }

  /** Those that a circle beside the i-th one could touch or overlap. */
  private List<Circle> around(int i, double r) {
    Circle middle = placed.get(i);
    List<Circle> around = new ArrayList<>();
    for (int j = 0; j < placed.size(); j++) {
      Circle other = placed.get(j);
      double near = middle.r() + other.r() + 2 * r;
      double dx = other.x() - middle.x();
      double dy = other.y() - middle.y();
      if (j != i && dx * dx + dy * dy <= near * near) {
        around.add(other);
      }
    }
    return around;
  }

  /** From the middle, in a picture that is wider than high. */
  private double distance(Circle circle) {
    double across = circle.x() / aspect;
    return Math.sqrt(across * across + circle.y() * circle.y());
  }

  /** Where a circle would touch two others that are near enough. */
  private static List<Circle> touching(Circle a, Circle b, double r) {
    double dx = b.x() - a.x();
    double dy = b.y() - a.y();
    double toA = a.r() + r;
    double toB = b.r() + r;
    double squared = dx * dx + dy * dy;
    double apart = Math.sqrt(squared);
    double along = (toA * toA - toB * toB + squared) / (2 * apart);
    double across = Math.sqrt(Math.max(0, toA * toA - along * along));
    double x = a.x() + along * dx / apart;
    double y = a.y() + along * dy / apart;
    return List.of(
        new Circle(x - across * dy / apart, y + across * dx / apart, r),
        new Circle(x + across * dy / apart, y - across * dx / apart, r));
  }
}
