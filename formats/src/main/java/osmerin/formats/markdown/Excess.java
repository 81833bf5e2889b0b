package osmerin.formats.markdown;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import osmerin.core.text.Counted;
import osmerin.formats.limits.Limits;

/** What of one text was more than is read, in sentences for whoever wrote it. */
final class Excess {
  static final String TABLES =
      "The tables have more than "
          + Counted.of(Limits.MARKDOWN_CELLS, "cell")
          + ". They are shown as typed.";
  static final String BLOCK =
      "A paragraph has more Markdown signs than can be read. It is shown as typed.";
  static final String TAGS =
      "The text has more HTML than can be read. Its tags are shown as typed.";
  static final String PAGE =
      "As a page the text would be longer than "
          + Counted.of(Limits.MARKDOWN_HTML, "character")
          + ". It is shown as typed.";

  private final Set<String> sentences = new LinkedHashSet<>();

  void add(String sentence) {
    sentences.add(sentence);
  }

  boolean has(String sentence) {
    return sentences.contains(sentence);
  }

  List<String> sentences() {
    return List.copyOf(sentences);
  }
}
