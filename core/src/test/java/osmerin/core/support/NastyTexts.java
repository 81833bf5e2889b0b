package osmerin.core.support;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Texts that are not malformed but costly: each makes some careless pattern or parser look at the
 * same letters again and again.
 */
public final class NastyTexts {
  /** What the form fields and parsers of the house are tried with. */
  public static final int LENGTH = 40_000;

  private NastyTexts() {}

  /** Twenty of them by name, each of about so many characters. */
  public static Map<String, String> of(int length) {
    Map<String, String> texts = new LinkedHashMap<>();
    texts.put("one letter", "a".repeat(length));
    texts.put("letters and blanks", "a ".repeat(length / 2));
    texts.put("blanks before a letter", "1.1" + " ".repeat(length) + "x");
    texts.put("blanks between commas", "a" + " ".repeat(length) + "b,c");
    texts.put("dots", "a" + ".".repeat(length) + "b");
    texts.put("numbers with dots", "1.1".repeat(length / 3) + "x");
    texts.put("digits", "1" + "1".repeat(length) + "x");
    texts.put("thousands", "1" + ",000".repeat(length / 4) + "x");
    texts.put("address with a blank", "https://" + "a.".repeat(length / 2) + " b");
    texts.put("slashes", "https://" + "/".repeat(length) + "\u2028x");
    texts.put("at signs", "mailto:" + "@".repeat(length) + "\u2028");
    texts.put("angle brackets", "<".repeat(length));
    texts.put("comments that never end", "<!--".repeat(length / 4));
    texts.put("tags", "<a b".repeat(length / 4) + ">");
    texts.put("stars", "*".repeat(length / 2) + "a" + "*".repeat(length / 2));
    texts.put("brackets", "[".repeat(length / 2) + "a" + "](b)".repeat(length / 8));
    texts.put("number signs", "# " + "#".repeat(length) + "x");
    texts.put("table", wide(length / 8) + "a\n".repeat(length / 4));
    texts.put("equal lines", "the same words again\n".repeat(length / 21));
    texts.put("equal blocks", "The same words stand here again.\n\n".repeat(length / 34));
    return texts;
  }

  /** The head of a table and the rule below it. */
  private static String wide(int columns) {
    return "|a".repeat(columns) + "|\n" + "|-".repeat(columns) + "|\n";
  }

  /** The names of {@link #of}. */
  public static Stream<String> names() {
    return of(LENGTH).keySet().stream();
  }

  /**
   * Has each of the readers read one of the texts.
   *
   * @param refusals with which any of them may refuse it
   * @param most processor time of each
   */
  public static void read(
      Map<String, Consumer<String>> readers,
      Set<Class<? extends RuntimeException>> refusals,
      String name,
      Duration most) {
    String text = of(LENGTH).get(name);
    readers.forEach(
        (reader, reads) ->
            Effort.within(
                most, reader + " of " + name, () -> readOrRefused(reads, refusals, text)));
  }

  private static void readOrRefused(
      Consumer<String> reads, Set<Class<? extends RuntimeException>> refusals, String text) {
    try {
      reads.accept(text);
    } catch (RuntimeException e) {
      if (refusals.stream().noneMatch(refusal -> refusal.isInstance(e))) {
        throw e;
      }
    }
  }
}
