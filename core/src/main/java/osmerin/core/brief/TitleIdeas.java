package osmerin.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

/**
 * Candidates for a title: the site's own headline patterns, what the ranking pages treat most,
 * patterns that fit what the keyword asks for and the kinds of those pages, and questions that they
 * ask. Only what fits a search result and repeats neither another candidate nor a title that ranks.
 */
public final class TitleIdeas {
  public static final int MOST = 7;

  private static final int MOST_QUESTIONS = 2;

  /** So many subjects stand behind a keyword, each of few words and of several pages. */
  private static final int SUBJECTS = 3;

  private static final int MOST_WORDS = 3;
  private static final int FEWEST_PAGES = 2;

  /**
   * What titles are made from.
   *
   * @param kinds of the ranking pages, the most frequent first
   * @param sections at the top of the outline, what a headline that counts can promise; 0 for none
   */
  public record Source(
      String keyword,
      Language language,
      Evidence evidence,
      PagesSay say,
      List<PageKind> kinds,
      int sections) {}

  private final Source source;
  private final Stems stems = new Stems();

  private TitleIdeas(Source source) {
    this.source = source;
  }

  /**
   * Ideas, the site's own first.
   *
   * @param own the site's patterns, the latest first
   * @param known titles that are there already
   * @return at most {@value #MOST}
   */
  public static List<String> of(Source source, List<HeadlinePattern> own, List<String> known) {
    return source.keyword().isBlank() ? List.of() : new TitleIdeas(source).ideas(own, known);
  }

  private List<String> ideas(List<HeadlinePattern> own, List<String> known) {
    Set<Set<String>> taken = new HashSet<>();
    known.forEach(title -> taken.add(stems.subject(title)));
    source.evidence().pages().forEach(page -> taken.add(stems.subject(page.title())));
    Set<String> candidates = new LinkedHashSet<>();
    own.stream()
        .filter(pattern -> !pattern.counts() || source.sections() > 1)
        .map(pattern -> pattern.with(source.keyword(), source.sections()))
        .forEach(candidates::add);
    candidates.addAll(treated());
    fitting()
        .forEach(
            text ->
                candidates.add(
                    new HeadlinePattern(text).with(source.keyword(), source.sections())));
    candidates.addAll(questions());
    return candidates.stream()
        .filter(this::isSound)
        .filter(title -> taken.add(stems.subject(title)))
        .limit(MOST)
        .toList();
  }

  /** No idea fails the bench's own checks of length and intent. */
  private boolean isSound(String title) {
    TitleCheck check = TitleCheck.of(title, source.keyword(), source.language());
    return check.pixels() <= TitleCheck.MOST_PIXELS && check.intent() != Verdict.NOT_MET;
  }

  /** Patterns of our own are English; for other languages there are the site's and questions. */
  private List<String> fitting() {
    if (source.language() != Language.ENGLISH) {
      return List.of();
    }
    List<String> patterns = new ArrayList<>();
    Wish wish = new IntentReader().wish(source.keyword(), source.language());
    PageKind kind = source.kinds().isEmpty() ? PageKind.HOW_TO : source.kinds().get(0);
    if (wish == Wish.PURCHASE) {
      patterns.add("[keyword]: what to look for before you pay");
      patterns.add("[keyword]: what you get for the price");
    } else if (wish == Wish.COMPARISON || kind == PageKind.COMPARISON) {
      patterns.add("[keyword]: which one for whom");
      patterns.add("[keyword], tried side by side");
    } else if (kind == PageKind.LIST && source.sections() > 2) {
      patterns.add("[keyword]: [number] that hold up, and why");
    } else if (kind == PageKind.DEFINITION) {
      patterns.add("[keyword]: what it is, and when it matters");
    } else {
      patterns.add("[keyword], one step after another");
      patterns.add("[keyword]: what to do, and what to leave alone");
    }
    patterns.add("[keyword], explained from the start");
    return patterns;
  }

  /**
   * The keyword with what most ranking pages treat: short headings that say a term of the pages,
   * which "Step by step" does not. As many of them as fit.
   */
  private List<String> treated() {
    Set<String> said = new HashSet<>(stems.subject(source.keyword()));
    Set<String> telling = new HashSet<>();
    source.evidence().terms().forEach(term -> telling.addAll(stems.subject(term.phrase())));
    List<String> subjects = new ArrayList<>();
    for (PagesSay.Heading heading : source.say().headings()) {
      Set<String> its = stems.subject(heading.text());
      if (heading.pages() >= FEWEST_PAGES
          && heading.text().matches("[^?:;,.!]+")
          && heading.text().split("\\s+").length <= MOST_WORDS
          && its.stream().anyMatch(telling::contains)
          && its.stream().noneMatch(said::contains)) {
        subjects.add(small(heading.text()));
        said.addAll(its);
      }
    }
    for (int count = Math.min(SUBJECTS, subjects.size()); count > 1; count--) {
      String title = capital(source.keyword()) + ": " + joined(subjects.subList(0, count));
      if (isSound(title)) {
        return List.of(title);
      }
    }
    return List.of();
  }

  private String joined(List<String> subjects) {
    int last = subjects.size() - 1;
    return source.language() == Language.ENGLISH
        ? String.join(", ", subjects.subList(0, last)) + " and " + subjects.get(last)
        : String.join(", ", subjects);
  }

  /**
   * A heading within a sentence. One with more capitals than the first is left as it is: they are
   * names, or the heading has them throughout; so is a German one, for its nouns.
   */
  private String small(String heading) {
    return source.language() == Language.GERMAN
            || heading.chars().skip(1).anyMatch(Character::isUpperCase)
        ? heading
        : heading.substring(0, 1).toLowerCase(Locale.ROOT) + heading.substring(1);
  }

  private static String capital(String text) {
    return new HeadlinePattern(HeadlinePattern.KEYWORD).with(text, 0);
  }

  /**
   * Those that say the keyword, the nearest to it first; else the first that is asked, after it.
   */
  private List<String> questions() {
    Set<String> its = stems.subject(source.keyword());
    List<String> near =
        source.say().questions().stream()
            .filter(question -> shared(question, its) > 0)
            .sorted(Comparator.comparingLong(question -> -shared(question, its)))
            .filter(this::isSound)
            .limit(MOST_QUESTIONS)
            .toList();
    Stream<String> others =
        source.say().questions().stream()
            .filter(question -> shared(question, its) == 0)
            .map(question -> capital(source.keyword()) + ": " + small(question))
            .filter(this::isSound)
            .limit(1);
    return Stream.concat(near.stream(), others).toList();
  }

  private long shared(String question, Set<String> its) {
    return stems.subject(question).stream().filter(its::contains).count();
  }
}
