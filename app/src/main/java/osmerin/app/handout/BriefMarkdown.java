package osmerin.app.handout;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import osmerin.app.briefs.BriefPage;
import osmerin.app.rounds.Round;
import osmerin.core.brief.Outline;
import tools.jackson.databind.json.JsonMapper;

/**
 * A brief as Markdown (CommonMark) with YAML front matter: what programs want to know stands in
 * front, what its writer reads below. Strings in front are quoted as in JSON, which YAML reads.
 */
final class BriefMarkdown {
  private static final JsonMapper JSON = JsonMapper.shared();

  private BriefMarkdown() {}

  /** The file. */
  static String of(BriefPage page) {
    BriefDocument document = BriefDocument.of(page);
    return front(page, document)
        + "\n# "
        + oneLine(document.title())
        + "\n"
        + document.facts().stream()
            .filter(fact -> !fact.name().endsWith("keyword") && !fact.name().endsWith("keywords"))
            .map(fact -> part(fact.name(), fact.value()))
            .collect(Collectors.joining())
        + parts(document.why())
        + part("Outline", outline(document.outline()))
        + parts(document.more());
  }

  private static String front(BriefPage page, BriefDocument document) {
    Round round = page.round();
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("title", document.title());
    fields.put("reference", round.reference());
    fields.put("type", round.typeName());
    fields.put("round", round.ordinal());
    fields.put("primary_keyword", page.brief().primaryKeyword());
    fields.put("secondary_keywords", page.brief().secondary());
    page.length()
        .ifPresent(
            range -> {
              fields.put("words_low", range.low());
              fields.put("words_high", range.high());
            });
    Optional.ofNullable(round.publishDate())
        .ifPresent(day -> fields.put("publish_date", day.toString()));
    fields.put("signed_off", document.signedOff());
    return fields.entrySet().stream()
        .map(field -> field.getKey() + ": " + JSON.writeValueAsString(field.getValue()))
        .collect(Collectors.joining("\n", "---\n", "\n---\n"));
  }

  private static String parts(List<BriefDocument.Part> parts) {
    return parts.stream()
        .map(part -> part(part.heading(), part.text()))
        .collect(Collectors.joining());
  }

  /** What is empty has no heading either. A text is Markdown already, as its writer typed it. */
  private static String part(String heading, String text) {
    return text.isBlank() ? "" : "\n## " + heading + "\n\n" + text.strip() + "\n";
  }

  private static String outline(Outline outline) {
    List<String> lines = new ArrayList<>();
    for (Outline.Section section : outline.sections()) {
      String words = section.words() == null ? "" : " (" + section.words() + " words)";
      String note = section.note().isBlank() ? "" : ": " + oneLine(section.note());
      lines.add("  ".repeat(section.depth()) + "- " + oneLine(section.heading()) + words + note);
    }
    return String.join("\n", lines);
  }

  /** As plain text on one line: what would be markup is escaped. */
  private static String oneLine(String text) {
    return text.strip()
        .replaceAll("\\s+", " ")
        .replaceAll("([\\\\`*_{}\\[\\]<>#+!|~&-])", "\\\\$1")
        .replaceFirst("^(\\d+)([.)])", "$1\\\\$2");
  }
}
