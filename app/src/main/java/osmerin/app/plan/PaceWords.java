package osmerin.app.plan;

import java.util.ArrayList;
import java.util.List;
import osmerin.app.platform.web.In;
import osmerin.core.pace.Pace;
import osmerin.core.text.Counted;

/**
 * A month's pace in words.
 *
 * @param state in two or three words
 * @param sentence what there is and what is lacking
 */
record PaceWords(String state, String sentence) {

  static PaceWords of(Pace pace) {
    return new PaceWords(state(pace), sentence(pace));
  }

  private static String state(Pace pace) {
    return switch (pace.state()) {
      case NO_TARGET -> "no target";
      case MET -> "met";
      case SHORT -> "short by " + pace.missing();
      case BEHIND -> "behind";
      case AHEAD -> "ahead";
      case LEVEL -> "level";
    };
  }

  private static String sentence(Pace pace) {
    List<String> parts = new ArrayList<>();
    parts.add(pace.done() + (pace.target() > 0 ? " of " + pace.target() : "") + " live");
    add(parts, pace.planned(), "planned");
    add(parts, pace.atRisk(), "at risk");
    add(parts, pace.held(), "on hold");
    add(parts, pace.lost(), "no longer possible this month");
    String known = String.join(", ", parts) + ".";
    return known + advice(pace);
  }

  private static void add(List<String> parts, int number, String what) {
    if (number > 0) {
      parts.add(number + " " + what);
    }
  }

  private static String advice(Pace pace) {
    return switch (pace.state()) {
      case NO_TARGET, MET, AHEAD, LEVEL -> "";
      case SHORT ->
          " " + Counted.of(pace.missing(), "more is", "more are") + " needed to reach the target.";
      case BEHIND -> " By today " + In.decimal(pace.expected()) + " were expected.";
    };
  }
}
