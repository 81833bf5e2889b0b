package osmerin.core.landscape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import osmerin.core.text.TextWidth;

/**
 * Finds room for notes beside circles: the nearest place in any direction where the words cover
 * neither a circle nor another note, first with a line that crosses no other circle.
 */
final class Notes {
  /** More would cover the picture. */
  private static final int MOST = 24;

  private static final int DIRECTIONS = 24;
  private static final double STEP = 6;
  private static final double NEAREST = 10;
  private static final double FARTHEST = 320;

  /** Kept free around the words. */
  private static final double MARGIN = 3;

  private final List<Circle> circles;
  private final double width;
  private final double height;
  private final List<Box> taken = new ArrayList<>();

  Notes(List<Circle> circles, double width, double height) {
    this.circles = circles;
    this.width = width;
    this.height = height;
  }

  private record Box(double left, double top, double right, double bottom) {
    boolean meets(Box other) {
      return left < other.right && other.left < right && top < other.bottom && other.top < bottom;
    }

    /** How far a point is from it; 0 inside. */
    double from(double x, double y) {
      return Math.hypot(
          Math.max(0, Math.max(left - x, x - right)), Math.max(0, Math.max(top - y, y - bottom)));
    }
  }

  /** None where there is no room at all. */
  Optional<Note> beside(Circle circle, String name, String figure) {
    if (taken.size() == MOST) {
      return Optional.empty();
    }
    return beside(circle, name, figure, true).or(() -> beside(circle, name, figure, false));
  }

  private Optional<Note> beside(Circle circle, String name, String figure, boolean clear) {
    double half =
        MARGIN
            + Math.max(
                    TextWidth.AT_MOST.of(name, Note.NAME_SIZE),
                    TextWidth.AT_MOST.of(figure, Note.FIGURE_SIZE))
                / 2;
    boolean oneLine = name.isEmpty() || figure.isEmpty();
    double tall = MARGIN + (oneLine ? 8 : 16);
    double first = Note.NAME_SIZE * 0.8 - (name.isEmpty() ? Note.LINE : 0);
    for (double far = circle.r() + NEAREST; far < FARTHEST; far += STEP) {
      for (int at = 0; at < DIRECTIONS; at++) {
        double angle = 2 * Math.PI * at / DIRECTIONS;
        double x = circle.x() + Math.cos(angle) * (far + half * Math.abs(Math.cos(angle)));
        double y = circle.y() + Math.sin(angle) * (far + tall * Math.abs(Math.sin(angle)));
        Box box = new Box(x - half, y - tall, x + half, y + tall);
        double toX = Math.max(box.left, Math.min(box.right, circle.x()));
        double toY = Math.max(box.top, Math.min(box.bottom, circle.y()));
        if (isFree(box) && (!clear || isClear(circle, toX, toY))) {
          taken.add(box);
          double whole = Math.hypot(toX - circle.x(), toY - circle.y());
          double part = circle.r() / whole;
          return Optional.of(
              new Note(
                  name,
                  figure,
                  x,
                  y - tall + MARGIN + first,
                  circle.x() + part * (toX - circle.x()),
                  circle.y() + part * (toY - circle.y()),
                  toX,
                  toY));
        }
      }
    }
    return Optional.empty();
  }

  private boolean isFree(Box box) {
    return box.left >= 0
        && box.right <= width
        && box.top >= 0
        && box.bottom <= height
        && circles.stream().allMatch(c -> box.from(c.x(), c.y()) > c.r())
        && taken.stream().noneMatch(box::meets);
  }

  /** Whether the line from the circle's middle crosses no other circle. */
  private boolean isClear(Circle from, double toX, double toY) {
    for (Circle other : circles) {
      if (!other.equals(from) && distance(other, from.x(), from.y(), toX, toY) < other.r()) {
        return false;
      }
    }
    return true;
  }

  private static double distance(Circle of, double x1, double y1, double x2, double y2) {
    double dx = x2 - x1;
    double dy = y2 - y1;
    double along = ((of.x() - x1) * dx + (of.y() - y1) * dy) / (dx * dx + dy * dy);
    double at = Math.max(0, Math.min(1, along));
    return Math.hypot(of.x() - x1 - at * dx, of.y() - y1 - at * dy);
  }
}
