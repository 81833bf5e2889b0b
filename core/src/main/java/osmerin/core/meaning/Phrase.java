package osmerin.core.meaning;

import java.util.List;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Language;
import osmerin.core.text.Words;

/**
 * A short text to be compared by what it means.
 *
 * @param text in lower case, without years
 */
public record Phrase(String text, Language language) {
  /** Of any text. */
  public static Phrase of(String text, Language language) {
    List<String> words = Words.lower(text).stream().filter(word -> !Words.isYear(word)).toList();
    return new Phrase(String.join(" ", words.isEmpty() ? Words.lower(text) : words), language);
  }

  /** Of a keyword, taken as English where its language is not known. */
  public static Phrase of(Keyword keyword) {
    return of(keyword.normal(), keyword.language());
  }
}
