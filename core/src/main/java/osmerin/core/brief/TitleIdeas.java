package osmerin.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.intent.IntentReader;
import osmerin.core.intent.IntentReader.Wish;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

/**
 * Candidates for a title: the site's own headline patterns, patterns that fit what the keyword asks
 * for and the kinds of pages that rank, and questions that those pages ask. Only what fits a search
 * result and repeats neither another candidate nor a title that ranks.
 */
public final class TitleIdeas {
  public static final int MOST = 6;

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

  /** Those that share most words with the keyword first. */
  private List<String> questions() {
    Set<String> its = stems.subject(source.keyword());
    return source.say().questions().stream()
        .filter(question -> shared(question, its) > 0)
        .sorted(Comparator.comparingLong(question -> -shared(question, its)))
        .toList();
  }

  private long shared(String question, Set<String> its) {
    return stems.subject(question).stream().filter(its::contains).count();
  }
}
