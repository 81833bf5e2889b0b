package osmerin.core.keyword;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * The form in which two spellings of a keyword are the same: Unicode NFKC, lower case (root
 * locale), plain quotes and dashes, no punctuation or quotes around it, single spaces inside.
 */
public final class NormalForm {
  private static final Pattern SINGLE_QUOTES = Pattern.compile("[‘’‚‛′`´]");
  private static final Pattern DOUBLE_QUOTES = Pattern.compile("[“”„‟″«»]");
  private static final Pattern DASHES = Pattern.compile("[‐‑‒–—―−]");
  private static final Pattern SPACE = Pattern.compile("[\\s\\p{Z}\\p{Cc}]+");

  /** Signs that belong to a word ("c++", "c#", "50%", "$100") are not outer punctuation. */
  private static final String KEPT_BEFORE = "#@%&";

  private static final String KEPT_BEHIND = "#%&";

  private NormalForm() {}

  /** The normal form; empty when nothing but punctuation and space was given. */
  public static String of(String spelling) {
    if (isNormal(spelling)) {
      return spelling;
    }
    String text = Normalizer.normalize(spelling, Normalizer.Form.NFKC);
    text = SINGLE_QUOTES.matcher(text).replaceAll("'");
    text = DOUBLE_QUOTES.matcher(text).replaceAll("\"");
    text = DASHES.matcher(text).replaceAll("-");
    text = SPACE.matcher(text.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
    text = withoutOuter(text).strip();
    // Lower-casing can undo composition (a capital I with a dot above), so compose again.
    return Normalizer.normalize(text, Normalizer.Form.NFKC);
  }

  private static String withoutOuter(String text) {
    int from = 0;
    while (from < text.length() && isOuter(text.codePointAt(from), KEPT_BEFORE)) {
      from += Character.charCount(text.codePointAt(from));
    }
    int to = text.length();
    while (to > from && isOuter(text.codePointBefore(to), KEPT_BEHIND)) {
      to -= Character.charCount(text.codePointBefore(to));
    }
    return text.substring(from, to);
  }

  private static boolean isOuter(int sign, String kept) {
    return kept.indexOf(sign) < 0
        && switch (Character.getType(sign)) {
          case Character.CONNECTOR_PUNCTUATION,
              Character.DASH_PUNCTUATION,
              Character.START_PUNCTUATION,
              Character.END_PUNCTUATION,
              Character.INITIAL_QUOTE_PUNCTUATION,
              Character.FINAL_QUOTE_PUNCTUATION,
              Character.OTHER_PUNCTUATION,
              Character.SPACE_SEPARATOR,
              Character.LINE_SEPARATOR,
              Character.PARAGRAPH_SEPARATOR ->
              true;
          default -> false;
        };
  }

  /** Most keywords are plain: small letters and digits of ASCII with single spaces inside. */
  private static boolean isNormal(String text) {
    boolean space = true;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == ' ' ? space : (c < 'a' || c > 'z') && (c < '0' || c > '9')) {
        return false;
      }
      space = c == ' ';
    }
    return !space;
  }
}
