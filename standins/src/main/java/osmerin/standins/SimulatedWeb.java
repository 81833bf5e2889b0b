package osmerin.standins;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.jsoup.nodes.Entities;

/**
 * Made-up pages on made-up sites. A page is put together from hand-written sections of the subject
 * that the phrase is about, each page in words of its own; a phrase about nothing known gets
 * sections about going about any subject. The same phrase and position always give the same page,
 * so a page can be found again by its address alone.
 */
final class SimulatedWeb {
  /** A page with its address. */
  record Page(String address, String title, String html) {}

  private record Section(String heading, List<String> paragraphs) {}

  private record Subject(Set<String> words, List<Section> sections) {}

  private static final List<String> SITES =
      List.of(
          "mudandflame",
          "thequietkiln",
          "claybench",
          "potters-almanac",
          "slowglaze",
          "wheelhouse-notes",
          "stonewarediary",
          "ashandember",
          "thirdfiring",
          "kitchenpottery",
          "fettlingknife",
          "coneandcraft");
  private static final List<String> TITLES =
      List.of(
          "%s: what works and what does not",
          "%s, explained from the bench",
          "A plain guide to %s",
          "%s for the home studio",
          "Everything we learned about %s",
          "%s: questions and answers",
          "Getting %s right",
          "%s, step by step",
          "What nobody tells you about %s",
          "%s without the guesswork");

  private final Paraphrase paraphrase = new Paraphrase();
  private final List<Subject> subjects = read("/search/pottery.txt");
  private final List<Section> anySubject = read("/search/any-subject.txt").get(0).sections();

  /** The page at a position, from 1, for a phrase. */
  Page page(String phrase, int position) {
    String clean =
        phrase
            .toLowerCase(Locale.ROOT)
            .replaceAll("['’]", "")
            .replaceAll("[^\\p{L}\\p{N}]+", " ")
            .strip();
    Random random = new Random(clean.hashCode() * 31L + position);
    String title = TITLES.get((position - 1 + Math.abs(clean.hashCode() % 5)) % TITLES.size());
    String headline = capitalised(title.formatted(clean));
    String site =
        SITES.get((Math.floorMod(clean.hashCode(), SITES.size()) + position) % SITES.size());
    String slug = clean.replace(' ', '-');
    String address = "https://" + site + ".example/" + position + "/" + slug;
    return new Page(address, headline, html(headline, clean, random));
  }

  /** The page with this address, when a search could have found it. */
  Optional<Page> find(String address) {
    try {
      String[] path = URI.create(address).getPath().split("/");
      if (path.length != 3) {
        return Optional.empty();
      }
      Page page = page(path[2].replace('-', ' '), Integer.parseInt(path[1]));
      return page.address().equals(address) ? Optional.of(page) : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private String html(String headline, String phrase, Random random) {
    StringBuilder html = new StringBuilder("<!doctype html><html lang=en><title>");
    html.append(Entities.escape(headline))
        .append("</title><nav><a href=/>Home</a></nav><main><h1>");
    html.append(Entities.escape(headline)).append("</h1>");
    for (Section section : sections(phrase, random)) {
      html.append("<h2>").append(written(section.heading(), phrase)).append("</h2>");
      section
          .paragraphs()
          .forEach(
              text ->
                  html.append("<p>")
                      .append(written(paraphrase.of(text, random), phrase))
                      .append("</p>"));
    }
    return html.append("</main><footer>Simulated page. Nothing here exists.</footer></html>")
        .toString();
  }

  private static String written(String text, String phrase) {
    return Entities.escape(capitalised(text.replace("{phrase}", phrase)));
  }

  private static String capitalised(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  private List<Section> sections(String phrase, Random random) {
    List<Section> own = new ArrayList<>();
    List<String> words = List.of(phrase.split("[^\\p{L}\\p{N}]+"));
    for (Subject subject : subjects) {
      if (words.stream().anyMatch(subject.words()::contains)) {
        own.addAll(subject.sections());
      }
    }
    List<Section> any = new ArrayList<>(anySubject);
    Collections.shuffle(own, random);
    Collections.shuffle(any, random);
    int ownCount = Math.min(own.size(), 4 + random.nextInt(4));
    int anyCount = own.isEmpty() ? 5 + random.nextInt(4) : 1 + random.nextInt(2);
    List<Section> chosen = new ArrayList<>(own.subList(0, ownCount));
    chosen.addAll(any.subList(0, Math.min(any.size(), anyCount)));
    return chosen;
  }

  /** Reads "= words of a subject", "## heading" and paragraphs parted by empty lines. */
  private static List<Subject> read(String resource) {
    List<Subject> subjects = new ArrayList<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                SimulatedWeb.class.getResourceAsStream(resource), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        add(line.strip(), subjects);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return subjects;
  }

  private static void add(String line, List<Subject> subjects) {
    if (line.startsWith("= ")) {
      subjects.add(new Subject(Set.of(line.substring(2).split(" ")), new ArrayList<>()));
    } else if (line.startsWith("## ")) {
      last(subjects).sections().add(new Section(line.substring(3), new ArrayList<>()));
    } else if (!line.isEmpty()) {
      last(last(subjects).sections()).paragraphs().add(line);
    }
  }

  private static <T> T last(List<T> list) {
    return list.get(list.size() - 1);
  }
}
