package osmerin.core.landscape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Things as circles whose areas are their demand, packed into a picture; the smallest are drawn
 * larger than their demand, so that each can be seen and hit.
 *
 * @param places in the order of the things
 */
public record Landscape(List<Place> places) {
  /** No circle is smaller, in pixels. */
  static final double SMALLEST = 7;

  /** Between two circles, in pixels. */
  private static final double GAP = 5;

  /** Few circles do not grow beyond this part of the picture's height. */
  private static final double LARGEST = 0.42;

  /** A ring is no wider than this part of the radius. */
  private static final double RING = 0.2;

  private static final int ROUNDS = 3;

  /**
   * What a circle stands for.
   *
   * @param demand searches a month, 0 when unknown
   * @param figure the demand in words, for below the name
   */
  public record Thing(String name, double demand, String figure) {}

  /**
   * Where a thing is.
   *
   * @param ring how wide the ring inside of its edge is, in pixels
   * @param label none when there is no room for one
   * @param note beside the circle: what there is no room for in it
   */
  public record Place(Circle circle, double ring, Optional<Label> label, Optional<Note> note) {}

  public Landscape {
    places = List.copyOf(places);
  }

  /**
   * Lays things out.
   *
   * @param width of the picture in pixels
   * @param ring how wide the ring inside of a circle's edge may be, in pixels; small circles have a
   *     narrower one
   */
  public static Landscape of(List<Thing> things, double width, double height, double ring) {
    if (things.isEmpty()) {
      return new Landscape(List.of());
    }
    double[] sizes = things.stream().mapToDouble(t -> Math.sqrt(Math.max(0, t.demand()))).toArray();
    double most = LARGEST * height / Math.max(1, Arrays.stream(sizes).max().orElse(1));
    double scale = most;
    List<Circle> packed = packed(sizes, scale, width / height);
    // The circles' least size and their gaps are in pixels, so the scale is found step by step.
    for (int round = 1; round < ROUNDS && fit(packed, width, height) < 1; round++) {
      scale = Math.min(most, scale * fit(packed, width, height));
      packed = packed(sizes, scale, width / height);
    }
    return placed(things, packed, width, height, ring);
  }

  private static List<Circle> packed(double[] sizes, double scale, double aspect) {
    double[] radii =
        Arrays.stream(sizes).map(s -> Math.max(SMALLEST, s * scale) + GAP / 2).toArray();
    return CirclePacking.pack(radii, aspect);
  }

  private static double[] box(List<Circle> circles) {
    return new double[] {
      circles.stream().mapToDouble(c -> c.x() - c.r()).min().orElse(0),
      circles.stream().mapToDouble(c -> c.x() + c.r()).max().orElse(0),
      circles.stream().mapToDouble(c -> c.y() - c.r()).min().orElse(0),
      circles.stream().mapToDouble(c -> c.y() + c.r()).max().orElse(0)
    };
  }

  /** The factor by which the circles fill the picture. */
  private static double fit(List<Circle> circles, double width, double height) {
    double[] box = box(circles);
    return Math.min(width / (box[1] - box[0]), height / (box[3] - box[2]));
  }

  private static Landscape placed(
      List<Thing> things, List<Circle> packed, double width, double height, double ring) {
    double[] box = box(packed);
    double factor = Math.min(1, fit(packed, width, height));
    double dx = width / 2 - factor * (box[0] + box[1]) / 2;
    double dy = height / 2 - factor * (box[2] + box[3]) / 2;
    List<Circle> circles =
        packed.stream()
            .map(c -> c.scaled(factor, dx, dy))
            .map(c -> new Circle(c.x(), c.y(), c.r() - factor * GAP / 2))
            .toList();
    Notes notes = new Notes(circles, width, height);
    List<Place> places = new ArrayList<>();
    for (int i = 0; i < things.size(); i++) {
      Circle circle = circles.get(i);
      Thing thing = things.get(i);
      double its = Math.min(ring, RING * circle.r());
      Optional<Label> label = Label.fit(thing.name(), thing.figure(), circle.r() - its);
      boolean named = label.isPresent();
      boolean told = named && (label.get().hasFigure() || thing.figure().isEmpty());
      Optional<Note> note =
          told ? Optional.empty() : notes.beside(circle, named ? "" : thing.name(), thing.figure());
      places.add(new Place(circle, its, label, note));
    }
    return new Landscape(places);
  }
}
