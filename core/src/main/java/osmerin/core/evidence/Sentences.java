package osmerin.core.evidence;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Parts a text into sentences (Unicode Standard Annex 29), but not after common abbreviations. */
final class Sentences {
  private static final Set<String> GO_ON =
      Set.of(
          "e.g.", "i.e.", "etc.", "dr.", "mr.", "mrs.", "ms.", "st.", "vs.", "approx.", "no.",
          "fig.", "ca.", "z.b.", "d.h.", "bzw.", "min.", "max.");

  private Sentences() {}

  /** In their order; none for a text without any. */
  static List<String> of(String text) {
    BreakIterator ends = BreakIterator.getSentenceInstance(Locale.ROOT);
    ends.setText(text);
    List<String> sentences = new ArrayList<>();
    int from = ends.first();
    for (int to = ends.next(); to != BreakIterator.DONE; to = ends.next()) {
      String sentence = text.substring(from, to).strip();
      if (to < text.length() && goesOn(sentence)) {
        continue;
      }
      if (!sentence.isEmpty()) {
        sentences.add(sentence);
      }
      from = to;
    }
    return sentences;
  }

  private static boolean goesOn(String sentence) {
    int last = sentence.lastIndexOf(' ');
    return GO_ON.contains(sentence.substring(last + 1).toLowerCase(Locale.ROOT));
  }
}
