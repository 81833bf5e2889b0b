package osmerin.core.runup;

import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The step that a few typed words or a number mean: the number of its line from 1, its name, the
 * beginning of its name or words out of it, whichever only one step fits.
 */
final class StepReference {
  private static final Pattern NUMBER = Pattern.compile("\\d{1,4}");
  private static final Pattern ARTICLE = Pattern.compile("^(?:the|a|an) ");

  private StepReference() {}

  /**
   * The place of the step among the names, from 0; null when none or more than one is meant.
   *
   * @param typed in lower case
   */
  static @Nullable Integer find(String typed, List<String> names) {
    if (NUMBER.matcher(typed).matches()) {
      int number = Integer.parseInt(typed);
      return number >= 1 && number <= names.size() ? number - 1 : null;
    }
    List<String> lower = names.stream().map(n -> n.strip().toLowerCase(Locale.ROOT)).toList();
    String words = ARTICLE.matcher(typed).replaceFirst("");
    Integer found = only(lower, typed::equals);
    if (found == null && !lower.contains(typed)) {
      found = only(lower, name -> name.startsWith(words));
    }
    return found == null && !lower.contains(typed)
        ? only(lower, name -> (" " + name + " ").contains(" " + words + " "))
        : found;
  }

  private static @Nullable Integer only(List<String> names, Predicate<String> fits) {
    int[] at = IntStream.range(0, names.size()).filter(i -> fits.test(names.get(i))).toArray();
    return at.length == 1 ? at[0] : null;
  }
}
