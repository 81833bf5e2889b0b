package osmerin.formats.keywords;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import osmerin.core.keyword.NumberPattern;
import osmerin.formats.table.Row;

/**
 * How the number columns of a file write numbers, from all their cells.
 *
 * @param whole of search volumes
 * @param decimals of difficulty and cost
 */
record NumberColumns(NumberPattern whole, NumberPattern decimals) {
  static NumberColumns of(FileReading reading, Stream<Row> rows) {
    int volume = reading.place(Column.VOLUME);
    int difficulty = reading.place(Column.DIFFICULTY);
    int cost = reading.place(Column.COST_PER_CLICK);
    List<String> volumes = new ArrayList<>();
    List<String> difficulties = new ArrayList<>();
    List<String> costs = new ArrayList<>();
    rows.forEach(
        row -> {
          add(volumes, row, volume);
          add(difficulties, row, difficulty);
          add(costs, row, cost);
        });
    NumberPattern money = NumberPattern.of(costs);
    NumberPattern elsewhere =
        money != NumberPattern.UNDECIDED ? money : NumberPattern.of(difficulties);
    return new NumberColumns(
        NumberPattern.ofWholeNumbers(volumes, elsewhere),
        elsewhere != NumberPattern.UNDECIDED ? elsewhere : NumberPattern.of(volumes));
  }

  private static void add(List<String> cells, Row row, int place) {
    if (place >= 0 && !row.field(place).isBlank()) {
      cells.add(row.field(place).strip());
    }
  }
}
