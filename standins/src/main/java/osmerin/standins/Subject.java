package osmerin.standins;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * Hand-written text about a subject: sections of facts, each in several wordings, some of which
 * disagree with each other.
 *
 * @param words that phrases about it hold
 * @param sites names of sites that write about it, empty where any does
 */
record Subject(String name, Set<String> words, List<String> sites, List<Section> sections) {

  /** Something in several wordings. */
  record Wordings(List<String> texts) {
    static Wordings of(String line) {
      return new Wordings(List.of(line.split(" \\|\\| ")));
    }

    String any(Random random) {
      return texts.get(random.nextInt(texts.size()));
    }
  }

  /** A part of what there is to say, with what people ask about it. */
  record Section(Wordings heading, List<Wordings> facts, List<String> questions) {}

  /**
   * Reads subjects: "= words", "~ sites", "## heading", "? question", and a fact on every other
   * line; wordings stand between "||".
   */
  static List<Subject> read(String name, String resource) {
    List<Subject> subjects = new ArrayList<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Subject.class.getResourceAsStream(resource), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        add(name, line.strip(), subjects);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return subjects;
  }

  private static void add(String name, String line, List<Subject> subjects) {
    if (line.startsWith("= ")) {
      subjects.add(
          new Subject(
              name, Set.of(line.substring(2).split(" ")), new ArrayList<>(), new ArrayList<>()));
    } else if (line.startsWith("~ ")) {
      last(subjects).sites().addAll(List.of(line.substring(2).split(" ")));
    } else if (line.startsWith("## ")) {
      Wordings heading = Wordings.of(line.substring(3));
      last(subjects).sections().add(new Section(heading, new ArrayList<>(), new ArrayList<>()));
    } else if (line.startsWith("? ")) {
      last(last(subjects).sections()).questions().add(line.substring(2));
    } else if (!line.isEmpty()) {
      last(last(subjects).sections()).facts().add(Wordings.of(line));
    }
  }

  private static <T> T last(List<T> list) {
    return list.get(list.size() - 1);
  }
}
