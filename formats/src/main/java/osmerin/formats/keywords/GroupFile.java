package osmerin.formats.keywords;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.Writer;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.Membership;
import osmerin.core.keyword.Volume;
import osmerin.core.topic.Topic;

/** Groups as CSV: one row for each keyword, in the order of demand. */
public final class GroupFile {
  private static final Pattern FORMULA =
      Pattern.compile("(^(?=[\\t\\r])|(?:^|[;\\t\\r\\n]\\s*+\"?+)(?=[=+@-]))");

  /** Without one of these in it no text is like a formula. */
  private static final String FORMULA_SIGNS = "=+@-\t\r";

  /** The header of the file. */
  public static final List<String> HEADER =
      List.of(
          "keyword",
          "group",
          "primary",
          "topic",
          "intent",
          "funnel_stage",
          "volume",
          "difficulty",
          "shared_pages",
          "nearness");

  private GroupFile() {}

  /** Writes all groups of all topics; the groups in order of demand whatever their topic. */
  public static void write(List<KeywordGroup> groups, List<Topic> topics, Writer out) {
    Map<KeywordGroup, String> topicOf = topicNames(topics);
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(HEADER);
      for (KeywordGroup group : groups) {
        String topic = topicOf.getOrDefault(group, "");
        group.members().forEach(member -> csv.writeRecord(record(group, topic, member)));
      }
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  static Map<KeywordGroup, String> topicNames(List<Topic> topics) {
    Map<KeywordGroup, String> topicOf = new IdentityHashMap<>();
    topics.forEach(topic -> topic.groups().forEach(group -> topicOf.put(group, topic.name())));
    return topicOf;
  }

  private static List<String> record(KeywordGroup group, String topic, Membership member) {
    boolean primary = member.basis() == Membership.Basis.PRIMARY;
    var keyword = member.keyword();
    return List.of(
        defused(keyword.text()),
        defused(group.primary().text()),
        primary ? "yes" : "no",
        defused(topic),
        group.intent().name().toLowerCase(Locale.ROOT),
        group.funnelStage().name().toLowerCase(Locale.ROOT),
        volume(keyword.volume()),
        number(keyword.difficulty()),
        number(member.sharedWithPrimary()),
        nearness(member.nearToPrimary()));
  }

  /** A range as its two ends, so that it is read back as one. */
  public static String volume(@Nullable Volume volume) {
    return volume != null && volume.isRange()
        ? volume.low() + "-" + volume.high()
        : number(volume == null ? null : volume.searches());
  }

  private static String nearness(@Nullable Double near) {
    return near == null ? "" : String.format(Locale.ROOT, "%.2f", near);
  }

  static String number(@Nullable Number number) {
    return number == null ? "" : number.toString();
  }

  /**
   * A cell that a spreadsheet does not run, though it begins like a formula; nor where semicolons
   * or tabs end cells, whatever stands behind one of those in the text.
   */
  public static String defused(String text) {
    return text.chars().noneMatch(sign -> FORMULA_SIGNS.indexOf(sign) >= 0)
        ? text
        : FORMULA.matcher(text).replaceAll("$1'");
  }
}
