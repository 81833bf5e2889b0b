package osmerin.app.briefs;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.briefs.BriefMapper.BriefRow;

/**
 * A field of a brief: how it reads, and how its value is kept in history and put back.
 *
 * @param words of it, for people
 * @param value of it as stored, null for none
 * @param with the row with another value in it
 */
record BriefField(
    String name,
    Function<Brief, String> inWords,
    Function<BriefRow, @Nullable String> stored,
    BiFunction<BriefRow, @Nullable String, BriefRow> put) {

  static final List<BriefField> ALL =
      List.of(
          text("Working title", Brief::workingTitle, BriefRow::workingTitle, Part.TITLE),
          text("Primary keyword", Brief::primaryKeyword, BriefRow::primaryKeyword, Part.PRIMARY),
          new BriefField(
              "Secondary keywords",
              b -> String.join(", ", b.secondary()),
              r -> String.join("\n", r.secondary()),
              (r, v) -> Part.SECONDARY.in(r, v)),
          text("Reader", Brief::reader, BriefRow::reader, Part.READER),
          text("Angle", Brief::angle, BriefRow::angle, Part.ANGLE),
          new BriefField(
              "Words",
              b -> b.words().map(w -> w.low() + "–" + w.high()).orElse(""),
              r -> r.wordsLow() == null ? null : r.wordsLow() + " " + r.wordsHigh(),
              (r, v) -> Part.WORDS.in(r, v)),
          new BriefField(
              "Outline", BriefField::outline, BriefRow::outline, (r, v) -> Part.OUTLINE.in(r, v)),
          text("Notes", Brief::notes, BriefRow::notes, Part.NOTES));

  private enum Part {
    TITLE,
    PRIMARY,
    SECONDARY,
    READER,
    ANGLE,
    WORDS,
    OUTLINE,
    NOTES;

    /** A copy of a row with this part replaced. */
    BriefRow in(BriefRow r, @Nullable String value) {
      String text = value == null ? "" : value;
      String[] range = this == WORDS && value != null ? value.split(" ") : new String[0];
      Integer low = range.length == 2 ? Integer.valueOf(range[0]) : null;
      Integer high = range.length == 2 ? Integer.valueOf(range[1]) : null;
      boolean words = this == WORDS;
      return new BriefRow(
          r.roundId(),
          this == TITLE ? text : r.workingTitle(),
          this == PRIMARY ? text : r.primaryKeyword(),
          this == SECONDARY ? lines(text) : r.secondary(),
          this == READER ? text : r.reader(),
          this == ANGLE ? text : r.angle(),
          words ? low : r.wordsLow(),
          words ? (low == null ? null : Integer.valueOf((low + high) / 2)) : r.wordsTarget(),
          words ? high : r.wordsHigh(),
          this == OUTLINE ? text : r.outline(),
          this == NOTES ? text : r.notes(),
          r.version(),
          r.changedBy(),
          r.changedAt(),
          r.signedOff(),
          r.signedOffBy(),
          r.signedOffAt());
    }

    private static List<String> lines(String text) {
      return text.lines().filter(line -> !line.isBlank()).toList();
    }
  }

  private static BriefField text(
      String name,
      Function<Brief, String> words,
      Function<BriefRow, @Nullable String> value,
      Part part) {
    return new BriefField(name, words, value, part::in);
  }

  static BriefField get(String name) {
    return ALL.stream()
        .filter(field -> field.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("a brief has no field " + name));
  }

  String words(Brief brief) {
    return inWords.apply(brief);
  }

  @Nullable String value(BriefRow row) {
    return stored.apply(row);
  }

  BriefRow with(BriefRow row, @Nullable String value) {
    return put.apply(row, value);
  }

  private static String outline(Brief brief) {
    return brief.outline().sections().stream()
        .map(
            s -> "– ".repeat(s.depth()) + s.heading() + (s.note().isEmpty() ? "" : ": " + s.note()))
        .collect(Collectors.joining("\n"));
  }
}
