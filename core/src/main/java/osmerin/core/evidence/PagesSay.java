package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.Sayings.Said;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Words;

/**
 * What several pages say: headings of the same meaning with their usual place, questions, and
 * points with the sentences that make them. By words, and by meaning where that is known; the pages
 * are of one language. A heading that is the title of its page is none.
 *
 * @param headings the one of most pages first, by place at a tie
 * @param questions what most pages ask first
 * @param points the one of most pages first
 */
public record PagesSay(List<Heading> headings, List<String> questions, List<Point> points) {
  public static final PagesSay NOTHING = new PagesSay(List.of(), List.of(), List.of());

  /** Mean cosine from which headings mean the same, and sentences make the same point. */
  private static final double SAME_HEADING = 0.33;

  private static final double SAME_POINT = 0.26;

  /** Questions differ by a word: "over HTTP", "over SSH". */
  private static final double SAME_QUESTION = 0.7;

  /** The same where likeness is meaning too. */
  private static final double MEANS_HEADING = 0.25;

  private static final double MEANS_POINT = 0.25;
  private static final double MEANS_QUESTION = 0.75;

  /** Two gatherings with so like centres say the same. */
  private static final double TWICE = 0.75;

  private static final int SHORTEST_POINT = 5;
  private static final int LONGEST_POINT = 45;
  private static final int LONGEST_QUESTION = 25;
  private static final int LONGEST_HEADING = 45;
  private static final int MOST = 60;
  private static final Pattern ASKS = Pattern.compile("[\\p{L}\\p{N})’”\"']\\?$");
  private static final Set<String> ASKING =
      Set.of("how", "what", "when", "where", "which", "who", "why");

  private static final Set<String> AUXILIARY =
      Set.of(
          "is", "are", "was", "were", "do", "does", "did", "can", "could", "should", "will",
          "would", "has", "have", "must", "may");

  /**
   * A heading that pages share in meaning.
   *
   * @param text as the page has it that puts it most like the others
   * @param place its mean place on the pages, 0–1
   * @param sources where it stands, in the order of the pages; empty where that was not kept
   */
  public record Heading(String text, int pages, double place, List<Source> sources) {
    public Heading {
      sources = sources == null ? List.of() : List.copyOf(sources);
    }

    /** A heading of which it is not known where it stands. */
    public Heading(String text, int pages, double place) {
      this(text, pages, place, List.of());
    }
  }

  /** What several pages say, each with the sentence that says it. */
  public record Point(String text, List<Source> sources) {
    /** For each page that says it the first sentence that does, in the order of the sources. */
    public List<Source> firstOfEach() {
      Map<String, Source> first = new LinkedHashMap<>();
      sources.forEach(source -> first.putIfAbsent(source.page(), source));
      return List.copyOf(first.values());
    }

    /** How many pages say it. */
    public int sayers() {
      return firstOfEach().size();
    }
  }

  /**
   * Where a point is made.
   *
   * @param page its name
   * @param sentence from 1 in the page's kept text
   */
  public record Source(String page, int sentence) {}

  public PagesSay {
    headings = List.copyOf(headings);
    questions = List.copyOf(questions);
    points = List.copyOf(points);
  }

  /** Draws it from pages by their words. */
  public static PagesSay of(List<ReadPage> pages) {
    return of(pages, List.of(), null);
  }

  /**
   * Draws it from pages by words and meaning; by words alone when it does not know the language of
   * one of them.
   */
  public static PagesSay of(
      List<ReadPage> pages, Collection<String> keywords, @Nullable Meaning meaning) {
    boolean meant = meaning != null && isMeant(pages, meaning);
    Sayings sayings = new Sayings(pages, keywords, meant ? meaning : null);
    List<List<Said>> points = points(sayings);
    sayings.known(points);
    return new PagesSay(headings(sayings, pages), questions(sayings), points(points, pages));
  }

  /** Whether it knows the languages of all pages, so that they can be gathered by meaning. */
  public static boolean isMeant(List<ReadPage> pages, Meaning meaning) {
    return pages.stream().map(Sayings::language).allMatch(meaning::knows);
  }

  private static List<Heading> headings(Sayings sayings, List<ReadPage> pages) {
    return sayings.headings(SAME_HEADING, MEANS_HEADING).stream()
        .map(
            same ->
                new Heading(
                    central(same).text(),
                    pages(same),
                    same.stream().mapToDouble(s -> s.sentence().place()).average().orElse(0),
                    sources(same, pages)))
        .sorted(
            Comparator.comparingInt((Heading h) -> -h.pages())
                .thenComparingDouble(Heading::place)
                .thenComparing(Heading::text))
        .limit(MOST)
        .toList();
  }

  private static List<String> questions(Sayings sayings) {
    List<Said> asked = sayings.all().stream().filter(PagesSay::isQuestion).toList();
    return onceEach(sayings.gathered(asked, SAME_QUESTION, MEANS_QUESTION)).stream()
        .sorted(
            Comparator.comparingInt((Once once) -> -pages(once.said()))
                .thenComparingInt(once -> once.said().get(0).page())
                .thenComparingInt(once -> once.said().get(0).sentence().number()))
        .map(once -> once.centre().text())
        .toList();
  }

  /** It ends as a question, or is a heading that begins as one: "Why does it crack". */
  private static boolean isQuestion(Said said) {
    List<String> words = Words.lower(said.text());
    int longest = said.sentence().isHeading() ? LONGEST_HEADING : LONGEST_QUESTION;
    if (words.size() < 3 || words.size() > longest || !said.sentence().isWriting()) {
      return false;
    }
    boolean begins =
        AUXILIARY.contains(words.get(0))
            || ASKING.contains(words.get(0)) && AUXILIARY.contains(words.get(1));
    return ASKS.matcher(said.text().strip()).find() || said.sentence().isHeading() && begins;
  }

  private static List<List<Said>> points(Sayings sayings) {
    List<Said> stated =
        sayings.all().stream()
            .filter(said -> said.sentence().isWriting() && !said.sentence().isHeading())
            .filter(said -> !isQuestion(said))
            .filter(said -> Words.count(said.text()) >= SHORTEST_POINT)
            .filter(said -> Words.count(said.text()) <= LONGEST_POINT && said.stems().size() >= 2)
            .toList();
    return sayings.gathered(stated, SAME_POINT, MEANS_POINT).stream()
        .filter(same -> pages(same) > 1)
        .toList();
  }

  private static List<Point> points(List<List<Said>> gathered, List<ReadPage> pages) {
    return onceEach(gathered).stream()
        .map(once -> new Point(once.centre().text(), sources(once.said(), pages)))
        .sorted(
            Comparator.comparingInt((Point p) -> -p.sayers())
                .thenComparing(p -> -p.sources().size())
                .thenComparing(Point::text))
        .toList();
  }

  /** What was said, and the one of it that stands for all. */
  private record Once(List<Said> said, Said centre) {
    static Once of(List<Said> same) {
      return new Once(new ArrayList<>(same), central(same));
    }
  }

  /**
   * What a page says twice stands in two gatherings, as no gathering has two sentences of a page;
   * the one of fewer pages goes into the other.
   */
  private static List<Once> onceEach(List<List<Said>> gathered) {
    List<Once> byPages =
        gathered.stream()
            .map(Once::of)
            .sorted(
                Comparator.comparingInt((Once one) -> -one.said().size())
                    .thenComparing(one -> one.centre().text()))
            .toList();
    List<Once> once = new ArrayList<>();
    for (Once one : byPages) {
      Optional<Once> known =
          once.stream().filter(other -> isTwice(other.centre(), one.centre())).findFirst();
      if (known.isPresent()) {
        known.get().said().addAll(one.said());
      } else if (once.size() < MOST) {
        once.add(one);
      }
    }
    once.forEach(
        one ->
            one.said()
                .sort(
                    Comparator.comparingInt(Said::page)
                        .thenComparing(said -> said.sentence().number())));
    return once;
  }

  /** A single stem is too little to tell. */
  private static boolean isTwice(Said one, Said other) {
    boolean telling = Math.min(one.stems().size(), other.stems().size()) > 1;
    return telling ? likeness(one, other) >= TWICE : one.text().equalsIgnoreCase(other.text());
  }

  private static List<Source> sources(List<Said> same, List<ReadPage> pages) {
    return same.stream()
        .map(s -> new Source(pages.get(s.page()).name(), s.sentence().number()))
        .toList();
  }

  private static int pages(List<Said> same) {
    return (int) same.stream().map(Said::page).distinct().count();
  }

  /** The one that has most in common with the others; the shortest, then the first at a tie. */
  private static Said central(List<Said> same) {
    return same.stream()
        .max(
            Comparator.comparingDouble((Said s) -> common(s, same))
                .thenComparingInt(s -> -s.text().length()))
        .orElseThrow();
  }

  private static double common(Said one, List<Said> all) {
    return all.stream().mapToDouble(other -> likeness(one, other)).sum();
  }

  /** Of all their stems the share that both have, 0–1. */
  private static double likeness(Said one, Said other) {
    long both = one.stems().stream().filter(other.stems()::contains).count();
    long either = one.stems().size() + other.stems().size() - both;
    return either == 0 ? 0 : (double) both / either;
  }
}
