package osmerin.formats.keywords;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.topic.Topic;
import osmerin.core.worth.SiteReach;
import osmerin.core.worth.Worth;

/** What groups are worth as CSV: one row for each group, in the order given; unknown is empty. */
public final class WorthFile {
  /** The header of the file. */
  public static final List<String> HEADER =
      List.of(
          "group",
          "topic",
          "keywords",
          "volume",
          "difficulty",
          "chance",
          "expected_visits",
          "weeks_low",
          "weeks_high",
          "hours",
          "yield");

  private final SiteReach site;
  private final double hours;

  /**
   * @param hours of work on an article
   */
  public WorthFile(SiteReach site, double hours) {
    this.site = site;
    this.hours = hours;
  }

  /** Writes all groups. */
  public void write(List<KeywordGroup> groups, List<Topic> topics, Writer out) {
    Map<KeywordGroup, String> topicOf = GroupFile.topicNames(topics);
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(HEADER);
      groups.forEach(group -> csv.writeRecord(record(group, topicOf.getOrDefault(group, ""))));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private List<String> record(KeywordGroup group, String topic) {
    Worth worth = Worth.of(group.demand(), site, hours);
    return List.of(
        GroupFile.defused(group.primary().text()),
        GroupFile.defused(topic),
        GroupFile.number(group.members().size()),
        GroupFile.volume(group.demand().volume()),
        rounded(group.demand().difficulty(), 2),
        rounded(worth.chance(), 4),
        span(worth.visitsSpan()),
        GroupFile.number(worth.weeks() == null ? null : worth.weeks().low()),
        GroupFile.number(worth.weeks() == null ? null : worth.weeks().high()),
        rounded(hours, 2),
        span(worth.yieldSpan()));
  }

  /** What follows from a range is one too. */
  private static String span(Worth.@Nullable Span span) {
    return span != null && span.isRange()
        ? rounded(span.low(), 2) + "-" + rounded(span.high(), 2)
        : rounded(span == null ? null : span.low(), 2);
  }

  private static String rounded(@Nullable Double figure, int places) {
    if (figure == null) {
      return "";
    }
    BigDecimal rounded = BigDecimal.valueOf(figure).setScale(places, RoundingMode.HALF_UP);
    return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
  }
}
