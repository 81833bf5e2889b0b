package osmerin.bench;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.keywords.KeywordFile;

/**
 * How long grouping takes, as a ratio to only reading the same file in the same JVM, and how it
 * grows.
 */
final class GroupingSpeed {
  private static final int RUNS = 3;

  private GroupingSpeed() {}

  static void run(int largest) {
    measure(10_000, false);
    System.out.printf(
        "%10s %10s %10s %12s %14s %10s%n",
        "keywords", "read s", "group s", "group/read", "µs a keyword", "groups");
    for (int size = 10_000; size <= largest; size *= 10) {
      measure(size, true);
    }
  }

  private static void measure(int size, boolean shown) {
    byte[] file = file(size);
    double read = Double.MAX_VALUE;
    double group = Double.MAX_VALUE;
    int groups = 0;
    int count = 0;
    for (int run = 0; run < (size > 300_000 ? 1 : RUNS); run++) {
      long begun = System.nanoTime();
      List<Keyword> keywords = new KeywordFile(file).read().keywords();
      read = Math.min(read, seconds(begun));
      count = keywords.size();
      begun = System.nanoTime();
      groups = new Grouping(GroupingSettings.DEFAULT).group(keywords).size();
      group = Math.min(group, seconds(begun));
    }
    if (shown) {
      System.out.printf(
          "%10d %10.2f %10.2f %12.2f %14.1f %10d%n",
          count, read, group, group / read, group * 1e6 / count, groups);
    }
  }

  private static double seconds(long since) {
    return (System.nanoTime() - since) / 1e9;
  }

  /** A file with ten ranking pages for most keywords. */
  private static byte[] file(int size) {
    Shape shape = new Shape(size / 13, 60, 12, 3, 0.12, 0.03, 0.04, 0.08);
    StringBuilder file = new StringBuilder("keyword,volume,ranking pages\n");
    for (Keyword k : LabelledSet.of(shape, 1).keywords()) {
      file.append(k.text()).append(',').append(k.volume().searches()).append(',');
      file.append(k.pages().stream().map(PageAddress::value).collect(Collectors.joining(" ")));
      file.append('\n');
    }
    return file.toString().getBytes(StandardCharsets.UTF_8);
  }
}
