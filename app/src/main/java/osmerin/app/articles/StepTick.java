package osmerin.app.articles;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.StepRow;

/**
 * Whether a step is done, as history keeps it: "draft", or "draft 2026-11-24 17 2026-11-25" with
 * the day, the person and the due date it had, "-" for what is not known.
 */
record StepTick(
    String key, @Nullable LocalDate doneOn, @Nullable Long doneBy, @Nullable LocalDate due) {

  static StepTick open(String key) {
    return new StepTick(key, null, null, null);
  }

  static StepTick before(StepRow row) {
    return new StepTick(row.key(), row.doneOn(), row.doneById(), row.doneDue());
  }

  String text() {
    return doneOn == null
        ? key
        : String.join(" ", key, doneOn.toString(), orDash(doneBy), orDash(due));
  }

  private static String orDash(@Nullable Object value) {
    return value == null ? "-" : value.toString();
  }

  static StepTick read(String text) {
    String[] parts = text.split(" ");
    return parts.length == 1
        ? open(parts[0])
        : new StepTick(
            parts[0],
            LocalDate.parse(parts[1]),
            parts[2].equals("-") ? null : Long.valueOf(parts[2]),
            parts[3].equals("-") ? null : LocalDate.parse(parts[3]));
  }

  /** The done steps of a round. */
  static String all(List<StepRow> steps) {
    return steps.stream()
        .filter(s -> s.doneOn() != null)
        .map(s -> before(s).text())
        .collect(Collectors.joining(";"));
  }

  static List<StepTick> readAll(String text) {
    return Arrays.stream(text.split(";")).filter(t -> !t.isBlank()).map(StepTick::read).toList();
  }
}
