package osmerin.core.brief;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A headline with a place for the keyword, and perhaps one for a number: "[keyword] in [number]
 * steps". A site keeps those that worked.
 *
 * @param text with {@value #KEYWORD} in it once or more
 */
public record HeadlinePattern(String text) {
  public static final String KEYWORD = "[keyword]";
  public static final String NUMBER = "[number]";
  public static final int LONGEST = 200;

  private static final Pattern COUNT = Pattern.compile("(?<![\\d.,\\p{L}-])\\d{1,2}(?=\\s+\\p{L})");

  public HeadlinePattern {
    if (!text.contains(KEYWORD) || text.length() > LONGEST) {
      throw new IllegalArgumentException(
          "A headline pattern has %s in it and at most %s characters.".formatted(KEYWORD, LONGEST));
    }
  }

  /**
   * The pattern of a title: its keyword and the number it counts with become places.
   *
   * @return empty when the keyword does not stand in it as it is
   */
  public static Optional<HeadlinePattern> of(String title, String keyword) {
    if (keyword.isBlank()) {
      return Optional.empty();
    }
    Matcher matcher =
        Pattern.compile(
                "(?<![\\p{L}\\d])" + Pattern.quote(keyword.strip()) + "(?![\\p{L}\\d])",
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE)
            .matcher(title.strip());
    if (!matcher.find()) {
      return Optional.empty();
    }
    // What counts stands outside of the keyword: "Cone 6 firing in 5 steps".
    String before = counted(title.strip().substring(0, matcher.start()));
    String after = counted(title.strip().substring(matcher.end()));
    String text = before + KEYWORD + after;
    return text.length() > LONGEST ? Optional.empty() : Optional.of(new HeadlinePattern(text));
  }

  private static String counted(String text) {
    return COUNT.matcher(text).replaceFirst(Matcher.quoteReplacement(NUMBER));
  }

  public boolean counts() {
    return text.contains(NUMBER);
  }

  /**
   * The headline for a keyword.
   *
   * @param number what it counts
   * @return begins with a capital letter
   */
  public String with(String keyword, int number) {
    String title = text.replace(KEYWORD, keyword.strip()).replace(NUMBER, String.valueOf(number));
    int first = title.offsetByCodePoints(0, 1);
    return title.substring(0, first).toUpperCase(Locale.ROOT) + title.substring(first);
  }
}
