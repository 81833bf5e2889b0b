package osmerin.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Splits text into words: runs of letters and digits, with apostrophes and hyphens inside. */
public final class Words {
  /** Signs that join two runs to one word. */
  private static final String JOINING = "'’.-";

  private Words() {}

  /** The words as written, in order; empty for text without words. */
  public static List<String> of(String text) {
    List<String> words = new ArrayList<>();
    for (int from = start(text, 0); from < text.length(); ) {
      int end = end(text, from);
      words.add(text.substring(from, end));
      from = start(text, end);
    }
    return words;
  }

  /** Where the next word begins, or the end of the text. */
  private static int start(String text, int from) {
    int at = from;
    while (at < text.length() && !isPart(text, at)) {
      at += Character.charCount(text.codePointAt(at));
    }
    return at;
  }

  /** Where the word ends that begins there. */
  private static int end(String text, int from) {
    int at = from;
    while (isPart(text, at) || (isJoining(text, at) && isPart(text, at + 1))) {
      at += Character.charCount(text.codePointAt(at));
    }
    return at;
  }

  private static boolean isJoining(String text, int at) {
    return at < text.length() && JOINING.indexOf(text.charAt(at)) >= 0;
  }

  private static boolean isPart(String text, int at) {
    if (at >= text.length()) {
      return false;
    }
    char sign = text.charAt(at);
    // ASCII, as most words are: digits, and letters of either case.
    if (sign < 128) {
      return sign >= '0' && sign <= '9' || (sign | 32) >= 'a' && (sign | 32) <= 'z';
    }
    int c = text.codePointAt(at);
    if (Character.isLetterOrDigit(c)) {
      return true;
    }
    int type = Character.getType(c);
    return type == Character.LETTER_NUMBER || type == Character.OTHER_NUMBER;
  }

  /** The words in lower case (root locale), typographic apostrophes made plain. */
  public static List<String> lower(String text) {
    return of(text.toLowerCase(Locale.ROOT).replace('’', '\''));
  }

  /**
   * The words in lower case that carry the subject: neither stop words nor years; all of them where
   * that would leave none.
   */
  public static List<String> subject(String text, Language language) {
    List<String> words = lower(text);
    List<String> subject = new ArrayList<>(words.size());
    for (String word : words) {
      if (!StopWords.contains(word, language) && !isYear(word)) {
        subject.add(word);
      }
    }
    return subject.isEmpty() ? words : subject;
  }

  /** Whether the word is a year from 1900 to 2099, as titles carry it to seem fresh. */
  public static boolean isYear(String word) {
    return word.length() == 4
        && (word.startsWith("19") || word.startsWith("20"))
        && Character.isDigit(word.charAt(2))
        && Character.isDigit(word.charAt(3));
  }

  /** The number of words. */
  public static int count(String text) {
    int count = 0;
    for (int from = start(text, 0); from < text.length(); from = start(text, end(text, from))) {
      count++;
    }
    return count;
  }
}
