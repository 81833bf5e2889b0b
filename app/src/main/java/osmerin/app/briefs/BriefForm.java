package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

/**
 * A brief as it is typed.
 *
 * @param secondary one keyword a line
 * @param heading headings of the outline in order; empty ones are left out
 * @param depth their depths
 * @param note their notes
 * @param version the version the person has seen
 */
record BriefForm(
    @Nullable String workingTitle,
    @Nullable String primaryKeyword,
    @Nullable String secondary,
    @Nullable String reader,
    @Nullable String angle,
    @Nullable String wordsLow,
    @Nullable String wordsHigh,
    @Nullable List<String> heading,
    @Nullable List<Integer> depth,
    @Nullable List<String> note,
    @Nullable String notes,
    int version) {

  static BriefForm of(Brief brief) {
    List<Outline.Section> sections = brief.outline().sections();
    return new BriefForm(
        brief.workingTitle(),
        brief.primaryKeyword(),
        String.join("\n", brief.secondary()),
        brief.reader(),
        brief.angle(),
        brief.words().map(w -> String.valueOf(w.low())).orElse(""),
        brief.words().map(w -> String.valueOf(w.high())).orElse(""),
        sections.stream().map(Outline.Section::heading).toList(),
        sections.stream().map(Outline.Section::depth).toList(),
        sections.stream().map(Outline.Section::note).toList(),
        brief.notes(),
        brief.version());
  }

  /** The same, to be saved over a later version. */
  BriefForm over(int laterVersion) {
    return new BriefForm(
        workingTitle,
        primaryKeyword,
        secondary,
        reader,
        angle,
        wordsLow,
        wordsHigh,
        heading,
        depth,
        note,
        notes,
        laterVersion);
  }

  /** A section as it is typed, for the page. */
  record TypedSection(String heading, int depth, String note) {}

  public List<TypedSection> sections() {
    List<TypedSection> sections = new ArrayList<>();
    for (int i = 0; heading != null && i < heading.size(); i++) {
      int at = depth == null || i >= depth.size() || depth.get(i) == null ? 0 : depth.get(i);
      String says = note == null || i >= note.size() ? "" : note.get(i);
      sections.add(new TypedSection(heading.get(i), at, says));
    }
    return sections;
  }

  /** For each field at fault what to do about it. */
  Map<String, String> faults() {
    Map<String, String> faults = new LinkedHashMap<>();
    long headings = sections().stream().filter(s -> !s.heading().isBlank()).count();
    if (headings > Outline.MOST_SECTIONS) {
      faults.put("outline", "An outline has at most " + Outline.MOST_SECTIONS + " sections.");
    }
    try {
      WordRange.read(wordsLow, wordsHigh);
    } catch (IllegalArgumentException e) {
      faults.put("words", e.getMessage());
    }
    for (String text :
        Arrays.asList(workingTitle, primaryKeyword, secondary, reader, angle, notes)) {
      if (text != null && text.length() > Brief.LONGEST_TEXT) {
        faults.put("long", "A text of this brief is longer than 10,000 characters.");
      }
    }
    return faults;
  }

  /** The outline; only when there are no faults. */
  Outline outline() {
    return new Outline(
        sections().stream()
            .filter(s -> !s.heading().isBlank())
            .map(
                s -> new Outline.Section(s.heading().strip(), bounded(s.depth()), s.note().strip()))
            .toList());
  }

  /** The brief; only when there are no faults. */
  Brief brief(long roundId) {
    return new Brief(
        roundId,
        text(workingTitle),
        text(primaryKeyword),
        text(secondary).lines().map(String::strip).filter(line -> !line.isEmpty()).toList(),
        text(reader),
        text(angle),
        WordRange.read(wordsLow, wordsHigh),
        outline(),
        text(notes),
        version,
        null,
        null,
        Optional.empty());
  }

  private static int bounded(int depth) {
    return Math.max(0, Math.min(Outline.DEEPEST, depth));
  }

  /** Browsers send line ends as CR LF. */
  private static String text(@Nullable String typed) {
    return typed == null ? "" : typed.replace("\r\n", "\n").strip();
  }
}
