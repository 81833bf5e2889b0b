package osmerin.app.plan;

import java.util.ArrayList;
import java.util.List;
import osmerin.core.pace.Pace;

/**
 * A month's pace as a bar of boxes, one an article: done solid, planned hatched, at risk dashed,
 * missing empty; the frame is the target. Lengths are in the units of its SVG.
 *
 * @param expectedX where the mark of what is expected by today stands; −1 without a target
 */
record Meter(
    List<Box> boxes,
    double width,
    double targetWidth,
    double expectedX,
    double wordsX,
    String wordsAnchor) {
  private static final double WIDTH = 420;

  /** Room that the words at the mark need on each side. */
  private static final double WORDS = 62;

  /** One article; {@code tone} is done, planned, risk or missing. */
  record Box(double x, double width, String tone) {}

  static Meter of(Pace pace) {
    int count = pace.done() + pace.planned() + pace.atRisk();
    int boxes = Math.max(pace.target(), count);
    double each = boxes == 0 ? 0 : (WIDTH - 1) / boxes;
    List<Box> drawn = new ArrayList<>();
    for (int i = 0; i < boxes; i++) {
      drawn.add(new Box(0.5 + i * each, each, tone(i, pace)));
    }
    double expected = pace.target() == 0 ? -1 : 0.5 + Math.min(pace.expected(), boxes) * each;
    String anchor = expected < WORDS ? "start" : expected > WIDTH - WORDS ? "end" : "middle";
    double words = anchor.equals("start") ? 0 : anchor.equals("end") ? WIDTH : expected;
    return new Meter(drawn, WIDTH, pace.target() * each, expected, words, anchor);
  }

  private static String tone(int i, Pace pace) {
    if (i < pace.done()) {
      return "done";
    }
    if (i < pace.done() + pace.planned()) {
      return "planned";
    }
    return i < pace.done() + pace.planned() + pace.atRisk() ? "risk" : "missing";
  }
}
