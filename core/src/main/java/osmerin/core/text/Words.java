package osmerin.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Splits text into words: runs of letters and digits, with apostrophes and hyphens inside. */
public final class Words {
  private static final Pattern WORD =
      Pattern.compile("[\\p{L}\\p{N}]+(?:['’.-][\\p{L}\\p{N}]+)*", Pattern.UNICODE_CHARACTER_CLASS);

  private Words() {}

  /** The words as written, in order; empty for text without words. */
  public static List<String> of(String text) {
    List<String> words = new ArrayList<>();
    Matcher matcher = WORD.matcher(text);
    while (matcher.find()) {
      words.add(matcher.group());
    }
    return words;
  }

  /** The words in lower case (root locale), typographic apostrophes made plain. */
  public static List<String> lower(String text) {
    return of(text.toLowerCase(Locale.ROOT).replace('’', '\''));
  }

  /** The number of words. */
  public static int count(String text) {
    int count = 0;
    Matcher matcher = WORD.matcher(text);
    while (matcher.find()) {
      count++;
    }
    return count;
  }
}
