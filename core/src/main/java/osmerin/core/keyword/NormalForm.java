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
  private static final Pattern OUTER =
      Pattern.compile("^[\\p{P}\\p{Z}&&[^#@%&]]+|[\\p{P}\\p{Z}&&[^#%&]]+$");

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
    text = OUTER.matcher(text).replaceAll("").strip();
    // Lower-casing can undo composition (a capital I with a dot above), so compose again.
    return Normalizer.normalize(text, Normalizer.Form.NFKC);
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
