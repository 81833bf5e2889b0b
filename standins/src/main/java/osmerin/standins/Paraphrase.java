package osmerin.standins;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Says a paragraph in other words, as pages on one subject do: words give way to others of about
 * the same sense, some sentences are left out, and some begin otherwise. The same random numbers
 * give the same words.
 */
final class Paraphrase {
  private static final Pattern SENTENCE = Pattern.compile("(?<=[.?!]) ");
  private static final double REPLACED = 0.55;
  private static final double LEFT_OUT = 0.2;
  private static final double OPENED = 0.9;

  /** Words so common that none of them is a term of the page. */
  private static final List<String> OPENERS =
      List.of(
          "Still, ",
          "Then again, ",
          "Also, ",
          "Usually, ",
          "Mostly, ",
          "Often, ",
          "So, ",
          "Yes, ",
          "Now, ",
          "Besides, ",
          "Generally, ",
          "Again, ",
          "Of course, ",
          "In fact, ",
          "As always, ",
          "At least, ",
          "After all, ",
          "To be sure, ",
          "By the way, ",
          "Even so, ",
          "All in all, ",
          "For us, ",
          "Here, ",
          "Indeed, ",
          "Really, ",
          "Rather, ",
          "Well, ");

  private static final Set<String> NAMES = Set.of("Tuesday", "European", "Christmas");

  private final Map<String, List<String>> otherWords = new HashMap<>();
  private final Pattern known;

  Paraphrase() {
    for (String line : read("/search/other-words.txt").split("\n")) {
      List<String> words = List.of(line.split(" \\| "));
      otherWords.put(words.get(0), words.subList(1, words.size()));
    }
    List<String> longestFirst = new ArrayList<>(otherWords.keySet());
    longestFirst.sort((a, b) -> b.length() - a.length());
    known = Pattern.compile("\\b(" + String.join("|", longestFirst) + ")\\b");
  }

  private static String read(String resource) {
    try (InputStream file = Paraphrase.class.getResourceAsStream(resource)) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The paragraph in other words; at least one of its sentences stays. */
  String of(String paragraph, Random random) {
    List<String> said = new ArrayList<>();
    String[] sentences = SENTENCE.split(paragraph);
    for (int i = 0; i < sentences.length; i++) {
      boolean last = i == sentences.length - 1;
      if (random.nextDouble() >= LEFT_OUT || last && said.isEmpty()) {
        said.add(opened(inOtherWords(sentences[i], random), random));
      }
    }
    return String.join(" ", said);
  }

  private static String opened(String sentence, Random random) {
    String first = sentence.split("[^\\p{L}]", 2)[0];
    boolean plain =
        first.length() > 1
            && first.substring(1).equals(first.substring(1).toLowerCase(Locale.ROOT));
    if (!plain
        || sentence.endsWith("?")
        || NAMES.contains(first)
        || random.nextDouble() >= OPENED) {
      return sentence;
    }
    return OPENERS.get(random.nextInt(OPENERS.size()))
        + sentence.substring(0, 1).toLowerCase(Locale.ROOT)
        + sentence.substring(1);
  }

  private String inOtherWords(String sentence, Random random) {
    Matcher words = known.matcher(sentence);
    return words.replaceAll(
        match -> {
          List<String> others = otherWords.get(match.group());
          return Matcher.quoteReplacement(
              random.nextDouble() < REPLACED
                  ? others.get(random.nextInt(others.size()))
                  : match.group());
        });
  }
}
