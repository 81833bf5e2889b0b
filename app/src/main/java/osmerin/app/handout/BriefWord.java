package osmerin.app.handout;

import java.util.List;
import osmerin.app.briefs.BriefPage;
import osmerin.core.brief.Outline;
import osmerin.formats.word.WordDocument;

/** A brief as a Word document (DOCX). */
final class BriefWord {
  static final String TYPE =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

  private BriefWord() {}

  static byte[] of(BriefPage page) {
    BriefDocument brief = BriefDocument.of(page);
    WordDocument file = new WordDocument();
    file.small(
        "%s · %s · round %s"
            .formatted(
                brief.round().reference(), brief.round().typeName(), brief.round().ordinal()));
    file.heading(brief.title(), 1);
    file.table(brief.facts().stream().map(fact -> List.of(fact.name(), fact.value())).toList());
    add(file, brief.why());
    if (!brief.outline().isEmpty()) {
      file.heading("Outline", 2);
      brief.outline().sections().forEach(section -> file.item(line(section), section.depth()));
    }
    add(file, brief.more());
    return file.bytes();
  }

  private static void add(WordDocument file, List<BriefDocument.Part> parts) {
    for (BriefDocument.Part part : parts) {
      file.heading(part.heading(), 2);
      file.text(part.text());
    }
  }

  private static String line(Outline.Section section) {
    String words = section.words() == null ? "" : " (" + section.words() + " words)";
    return section.heading() + words + (section.note().isBlank() ? "" : ": " + section.note());
  }
}
