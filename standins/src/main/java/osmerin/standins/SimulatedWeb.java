package osmerin.standins;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * Made-up pages on made-up sites, about thirteen subjects. A phrase about none of them gets the
 * subject whose words look most like its own. The same phrase and number always give the same page,
 * so a page can be found again by its address alone.
 */
final class SimulatedWeb {
  /** A page with its address. */
  record Page(String address, String title, String html) {}

  /**
   * The pages of a phrase, the best first.
   *
   * @param subject they are about
   * @param nearest whether the phrase is about something else, and this is only the nearest
   */
  record Found(String subject, boolean nearest, List<Page> pages) {}

  private static final int NUMBERS = 12;
  private static final int FRESH_FROM = 9;
  private static final List<String> NAMES =
      List.of(
          "pottery",
          "beekeeping",
          "sourdough",
          "bicycles",
          "tomatoes",
          "hens",
          "knitting",
          "film",
          "coffee",
          "running",
          "houseplants",
          "sharpening",
          "newsletters");
  private static final List<String> POTTERS =
      List.of(
          "mudandflame",
          "thequietkiln",
          "claybench",
          "potters-almanac",
          "slowglaze",
          "wheelhouse-notes");

  private final List<Subject> subjects =
      NAMES.stream()
          .flatMap(name -> Subject.read(name, "/search/subjects/" + name + ".txt").stream())
          .toList();
  private final PageWriter writer = new PageWriter();

  /**
   * What ranks for a phrase.
   *
   * @param stale as it ranked some months ago: two other pages, and the first two the other way
   *     round
   */
  Found search(String phrase, boolean stale) {
    String clean = clean(phrase);
    List<Page> pages = new ArrayList<>();
    for (int number = 1; number < FRESH_FROM; number++) {
      pages.add(page(clean, number));
    }
    if (stale) {
      pages.add(0, pages.remove(1));
    }
    for (int i = 0; i < 2; i++) {
      pages.add(page(clean, FRESH_FROM + i + (stale ? 2 : 0)));
    }
    Subject subject = about(clean).get(0);
    return new Found(subject.name(), !isAbout(subject, clean), pages);
  }

  private static String clean(String phrase) {
    return phrase
        .toLowerCase(Locale.ROOT)
        .replaceAll("['’]", "")
        .replaceAll("[^\\p{L}\\p{N}]+", " ")
        .strip();
  }

  private Page page(String phrase, int number) {
    Random random = new Random(phrase.hashCode() * 31L + number);
    List<Subject> about = about(phrase);
    List<String> sites = about.get(0).sites().isEmpty() ? POTTERS : about.get(0).sites();
    String site = sites.get(Math.floorMod(phrase.hashCode() + number, sites.size()));
    String address = "https://" + site + ".example/" + number + "/" + phrase.replace(' ', '-');
    PageWriter.Written written = writer.write(about, phrase, number, site, random);
    return new Page(address, written.title(), written.html());
  }

  /** The page with this address, when a search could have found it. */
  Optional<Page> find(String address) {
    try {
      String[] path = URI.create(address).getPath().split("/");
      if (path.length != 3) {
        return Optional.empty();
      }
      int number = Integer.parseInt(path[1]);
      if (number < 1 || number > NUMBERS) {
        return Optional.empty();
      }
      Page page = page(path[2].replace('-', ' '), number);
      return page.address().equals(address) ? Optional.of(page) : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** The subjects of a phrase, all of one name; at least one. */
  private List<Subject> about(String phrase) {
    List<Subject> own = subjects.stream().filter(s -> isAbout(s, phrase)).toList();
    String name = own.isEmpty() ? nearest(phrase).name() : own.get(0).name();
    List<Subject> named = own.stream().filter(s -> s.name().equals(name)).toList();
    return named.isEmpty() ? List.of(nearest(phrase)) : named;
  }

  private static boolean isAbout(Subject subject, String phrase) {
    return List.of(phrase.split(" ")).stream().anyMatch(subject.words()::contains);
  }

  private Subject nearest(String phrase) {
    Subject best = subjects.get(0);
    double most = -1;
    for (Subject subject : subjects) {
      double near =
          subject.words().stream().mapToDouble(word -> shared(phrase, word)).max().orElse(0);
      if (near > most) {
        best = subject;
        most = near;
      }
    }
    return best;
  }

  /** The part of a word's pairs of letters that stand in the phrase. */
  private static double shared(String phrase, String word) {
    int pairs = word.length() - 1;
    int found = 0;
    for (int i = 0; i < pairs; i++) {
      found += phrase.contains(word.substring(i, i + 2)) ? 1 : 0;
    }
    return pairs < 1 ? 0 : (double) found / pairs;
  }
}
