package osmerin.core.text;

import java.util.HashSet;
import java.util.List;

/** Looks for a phrase in text by stems, so that number and ending do not matter. */
public final class PhraseMatch {
  private final Stems stems;
  private final List<String> subject;
  private final List<String> all;

  public PhraseMatch(String phrase, Stems stems) {
    this.stems = stems;
    this.subject = List.copyOf(stems.subject(phrase));
    this.all = stems.all(phrase);
  }

  /**
   * Met when the words that carry the subject stand in the text in their order with nothing but
   * stop words between them; partly when all of them stand in it somewhere. A phrase without words
   * stands in no text.
   */
  public Verdict in(String text) {
    if (subject.isEmpty()) {
      return Verdict.NOT_MET;
    }
    List<String> words =
        Words.lower(text).stream()
            .filter(word -> !StopWords.contains(word) || subject.contains(stems.of(word)))
            .map(stems::of)
            .toList();
    if (places(words, subject) > 0) {
      return Verdict.MET;
    }
    return new HashSet<>(words).containsAll(subject) ? Verdict.PARTLY : Verdict.NOT_MET;
  }

  /** How often the phrase stands in the text, stop words and all; uses do not overlap. */
  public int uses(List<String> stemsOfText) {
    return all.isEmpty() ? 0 : places(stemsOfText, all);
  }

  private static int places(List<String> words, List<String> phrase) {
    int count = 0;
    for (int at = 0; at + phrase.size() <= words.size(); at++) {
      if (words.subList(at, at + phrase.size()).equals(phrase)) {
        count++;
        at += phrase.size() - 1;
      }
    }
    return count;
  }
}
