package osmerin.core.article;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The name of an article for life: the site's prefix and a running number, "MP-0158". Typed in, the
 * leading zeros and the case do not matter.
 *
 * @param prefix 1–6 letters or digits in upper case, the first a letter
 * @param number 1 or more
 */
public record ReferenceNumber(String prefix, int number) {
  private static final int DIGITS = 4;

  private static final Pattern PREFIX = Pattern.compile("[A-Z][A-Z0-9]{0,5}");
  private static final Pattern BARE = Pattern.compile("\\d{1,9}");
  private static final Pattern FORM = Pattern.compile("([A-Z][A-Z0-9]{0,5}?)-?0*([1-9]\\d{0,8})");

  public ReferenceNumber {
    if (!isPrefix(prefix) || number < 1) {
      throw new IllegalArgumentException("no reference number: " + prefix + ", " + number);
    }
  }

  /** Whether the text can be a site's prefix. */
  public static boolean isPrefix(String text) {
    return PREFIX.matcher(text).matches();
  }

  /** Reads "MP-0158", "mp-158" or "MP0158". */
  public static Optional<ReferenceNumber> read(String text) {
    Matcher form = FORM.matcher(text.strip().toUpperCase(Locale.ROOT));
    return form.matches()
        ? Optional.of(new ReferenceNumber(form.group(1), Integer.parseInt(form.group(2))))
        : Optional.empty();
  }

  /** The number of what was typed: "158", or a whole reference number. */
  public static Optional<Integer> typed(String text) {
    String bare = text.strip();
    return BARE.matcher(bare).matches()
        ? Optional.of(Integer.valueOf(bare))
        : read(bare).map(ReferenceNumber::number);
  }

  @Override
  public String toString() {
    String digits = String.valueOf(number);
    return prefix + "-" + "0".repeat(Math.max(0, DIGITS - digits.length())) + digits;
  }
}
