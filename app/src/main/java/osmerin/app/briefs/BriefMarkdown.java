package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.Round;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;
import tools.jackson.databind.json.JsonMapper;

/**
 * A brief as Markdown (CommonMark) with YAML front matter: what programs want to know stands in
 * front, what its writer reads below. Strings in front are quoted as in JSON, which YAML reads.
 */
final class BriefMarkdown {
  private static final JsonMapper JSON = JsonMapper.shared();

  private final Round round;
  private final Brief brief;
  private final Optional<WordRange> length;
  private final List<Term> terms;

  private BriefMarkdown(Round round, Brief brief, Optional<WordRange> length, List<Term> terms) {
    this.round = round;
    this.brief = brief;
    this.length = length;
    this.terms = terms;
  }

  /**
   * The file.
   *
   * @param length the range that holds
   * @param terms that the ranking pages share
   */
  static String of(Round round, Brief brief, Optional<WordRange> length, List<Term> terms) {
    BriefMarkdown file = new BriefMarkdown(round, brief, length, terms);
    return file.front() + "\n# " + oneLine(file.title()) + "\n" + file.body();
  }

  private String title() {
    return brief.workingTitle().isBlank() ? round.title() : brief.workingTitle();
  }

  private String front() {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("title", title());
    fields.put("reference", round.reference());
    fields.put("type", round.typeName());
    fields.put("round", round.ordinal());
    fields.put("primary_keyword", brief.primaryKeyword());
    fields.put("secondary_keywords", brief.secondary());
    length.ifPresent(
        range -> {
          fields.put("words_low", range.low());
          fields.put("words_high", range.high());
        });
    Optional.ofNullable(round.publishDate())
        .ifPresent(day -> fields.put("publish_date", day.toString()));
    fields.put("signed_off", brief.isSignedOff());
    return fields.entrySet().stream()
        .map(field -> field.getKey() + ": " + JSON.writeValueAsString(field.getValue()))
        .collect(Collectors.joining("\n", "---\n", "\n---\n"));
  }

  private String body() {
    StringBuilder body = new StringBuilder();
    length.ifPresent(
        range ->
            part(
                body,
                "Length",
                In.number((long) range.low()) + "–" + In.number((long) range.high()) + " words"));
    part(body, "Reader", brief.reader());
    part(body, "Angle", brief.angle());
    part(body, "Outline", outline());
    part(
        body,
        "Terms",
        terms.stream().map(term -> oneLine(term.phrase())).collect(Collectors.joining(", ")));
    part(body, "Notes", brief.notes());
    return body.toString();
  }

  /** What is empty has no heading either. A text is Markdown already, as its writer typed it. */
  private static void part(StringBuilder body, String heading, String text) {
    if (!text.isBlank()) {
      body.append("\n## ").append(heading).append("\n\n").append(text.strip()).append("\n");
    }
  }

  private String outline() {
    List<String> lines = new ArrayList<>();
    for (Outline.Section section : brief.outline().sections()) {
      String note = section.note().isBlank() ? "" : ": " + oneLine(section.note());
      lines.add("  ".repeat(section.depth()) + "- " + oneLine(section.heading()) + note);
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
