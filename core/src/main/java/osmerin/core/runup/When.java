package osmerin.core.runup;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * When a step can be done or is due, as typed: steps that it waits for, by name or number, and
 * perhaps its place against the publish day.
 *
 * @param waitsFor names or numbers of steps, as typed
 * @param offset working days from the publish day, null for none
 * @param afterPublishing whether it was said to come after publishing, without a number of days
 */
record When(List<String> waitsFor, @Nullable Integer offset, boolean afterPublishing) {
  static final String PUBLISH_DAY = "publish day";

  private static final Pattern PLACE =
      Pattern.compile(
          "(\\d{1,5}) (?:working )?days? (after|before)(?: (?:publishing|going live|it is live|live|the publish day))?");
  private static final Pattern AFTER_PUBLISHING =
      Pattern.compile("after (?:publishing|going live|it is live)");
  private static final Pattern ON_THE_DAY = Pattern.compile("(?:on )?(?:the )?publish day");
  private static final Pattern NOTHING = Pattern.compile("nothing|at once|–|-|");
  private static final Pattern BETWEEN = Pattern.compile("\\s*[,;]\\s*|\\s+and\\s+");

  /**
   * Reads it.
   *
   * @throws RecipeFault when it names two places against the publish day
   */
  static When read(String typed) {
    List<String> waitsFor = new ArrayList<>();
    Integer offset = null;
    boolean after = false;
    for (String part : parts(typed)) {
      Integer place = place(part);
      if (place != null && offset != null) {
        throw new RecipeFault("It has two places against the publish day; keep one.");
      } else if (place != null) {
        offset = place;
      } else if (AFTER_PUBLISHING.matcher(part).matches()) {
        after = true;
      } else if (!NOTHING.matcher(part).matches()) {
        waitsFor.add(part.replaceFirst("^after ", ""));
      }
    }
    return new When(waitsFor, offset, after);
  }

  /** The parts between commas, in lower case. */
  static List<String> parts(String typed) {
    String text = typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    return Arrays.stream(BETWEEN.split(text)).map(String::strip).toList();
  }

  /** Whether a part names a step. */
  static boolean isReference(String part) {
    return place(part) == null
        && !AFTER_PUBLISHING.matcher(part).matches()
        && !NOTHING.matcher(part).matches()
        && !part.startsWith("after ");
  }

  /** Whether a part says when: what a line of a typed recipe may hold after the days. */
  static boolean isWhen(String part) {
    return part.startsWith("after ")
        || place(part) != null
        || !part.isEmpty() && NOTHING.matcher(part).matches();
  }

  private static @Nullable Integer place(String part) {
    if (ON_THE_DAY.matcher(part).matches()) {
      return 0;
    }
    Matcher days = PLACE.matcher(part);
    if (!days.matches()) {
      return null;
    }
    int count = Integer.parseInt(days.group(1));
    return days.group(2).equals("after") ? count : -count;
  }
}
