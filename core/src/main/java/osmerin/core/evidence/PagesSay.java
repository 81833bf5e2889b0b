package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
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
  private static final double SAME_HEADING = 0.55;

  private static final double SAME_POINT = 0.45;

  /** Questions differ by a word: "over HTTP", "over SSH". */
  private static final double SAME_QUESTION = 0.7;

  /** The same where likeness is meaning too. */
  private static final double MEANS_HEADING = 0.55;

  private static final double MEANS_POINT = 0.57;
  private static final double MEANS_QUESTION = 0.75;
  private static final int SHORTEST_POINT = 6;
  private static final int LONGEST_POINT = 45;
  private static final int LONGEST_QUESTION = 25;
  private static final int LONGEST_HEADING = 45;
  private static final int MOST = 60;
  private static final int BLOCKS_THAT_TELL = 40;

  /** The number of a heading is its page's, and no part of what it says. */
  private static final Pattern NUMBERING =
      Pattern.compile(
          "^\\W{0,20}+(?:(?:step|part|no\\.?)\\s{1,9}+)?\\d{1,2}(?:\\.\\d{1,2}){0,9}\\s{0,9}+[.):–-]\\s+",
          Pattern.CASE_INSENSITIVE);

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
   */
  public record Heading(String text, int pages, double place) {}

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

  /** A sentence of one of the pages, with what it is compared by. */
  private record Said(int page, ReadPage.Sentence sentence, String text, Set<String> stems) {}

  public PagesSay {
    headings = List.copyOf(headings);
    questions = List.copyOf(questions);
    points = List.copyOf(points);
  }

  /** Draws it from pages by their words. */
  public static PagesSay of(List<ReadPage> pages) {
    return of(pages, null);
  }

  /**
   * Draws it from pages by words and meaning; by words alone when it does not know the language of
   * one of them.
   */
  public static PagesSay of(List<ReadPage> pages, @Nullable Meaning meaning) {
    Stems stems = new Stems();
    List<Said> all = new ArrayList<>();
    for (int page = 0; page < pages.size(); page++) {
      Language language = language(pages.get(page));
      Set<String> title = stems(stems, pages.get(page).title(), language);
      for (ReadPage.Sentence sentence : pages.get(page).sentences()) {
        String text = text(sentence);
        Set<String> its = stems(stems, text, language);
        if (!sentence.isHeading() || !its.equals(title)) {
          all.add(new Said(page, sentence, text, its));
        }
      }
    }
    Gathering gathering =
        new Gathering(meaning != null && isMeant(pages, meaning) ? meaning : null);
    return new PagesSay(
        headings(all, gathering), questions(all, gathering), points(all, pages, gathering));
  }

  /** Whether it knows the languages of all pages, so that they can be gathered by meaning. */
  public static boolean isMeant(List<ReadPage> pages, Meaning meaning) {
    return pages.stream().map(PagesSay::language).allMatch(meaning::knows);
  }

  private static String text(ReadPage.Sentence sentence) {
    String bare = sentence.isHeading() ? NUMBERING.matcher(sentence.text()).replaceFirst("") : "";
    return bare.isBlank() ? sentence.text() : bare;
  }

  /** Gathers what was said by words, or by words and meaning. */
  private record Gathering(@Nullable Meaning meaning) {
    List<List<Said>> of(List<Said> said, double byWords, double byMeaning) {
      List<Set<String>> stems = said.stream().map(Said::stems).toList();
      return Alike.gathered(stems, vectors(said), meaning == null ? byWords : byMeaning).stream()
          .map(same -> same.stream().map(said::get).toList())
          .toList();
    }

    private float @Nullable [][] vectors(List<Said> said) {
      if (meaning == null) {
        return null;
      }
      Map<String, float[]> vectors =
          meaning.vectors(said.stream().map(Said::text).collect(Collectors.toSet()));
      return said.stream().map(one -> vectors.get(one.text())).toArray(float[][]::new);
    }
  }

  /** The language of which a page has the most stop words; English at a tie. */
  private static Language language(ReadPage page) {
    List<String> words =
        page.kept().stream()
            .limit(BLOCKS_THAT_TELL)
            .flatMap(block -> Words.lower(block.text()).stream())
            .toList();
    return Arrays.stream(Language.values())
        .max(
            Comparator.comparingLong(
                    (Language language) ->
                        words.stream().filter(w -> StopWords.contains(w, language)).count())
                .thenComparing(Comparator.reverseOrder()))
        .orElseThrow();
  }

  private static Set<String> stems(Stems stems, String text, Language language) {
    Set<String> subject = new LinkedHashSet<>();
    for (String word : Words.subject(text, language)) {
      if (!CommonWords.contains(word)) {
        subject.add(stems.of(word, language));
      }
    }
    return subject.isEmpty() ? stems.subject(text, language) : subject;
  }

  private static List<Heading> headings(List<Said> all, Gathering gathering) {
    List<Said> headings = all.stream().filter(said -> said.sentence().isHeading()).toList();
    return gathering.of(headings, SAME_HEADING, MEANS_HEADING).stream()
        .map(
            same ->
                new Heading(
                    central(same).text(),
                    pages(same),
                    same.stream().mapToDouble(s -> s.sentence().place()).average().orElse(0)))
        .sorted(
            Comparator.comparingInt((Heading h) -> -h.pages())
                .thenComparingDouble(Heading::place)
                .thenComparing(Heading::text))
        .limit(MOST)
        .toList();
  }

  private static List<String> questions(List<Said> all, Gathering gathering) {
    List<Said> asked = all.stream().filter(PagesSay::isQuestion).toList();
    return gathering.of(asked, SAME_QUESTION, MEANS_QUESTION).stream()
        .sorted(Comparator.comparingInt(same -> -pages(same)))
        .map(same -> central(same).text())
        .limit(MOST)
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

  private static List<Point> points(List<Said> all, List<ReadPage> pages, Gathering gathering) {
    List<Said> stated =
        all.stream()
            .filter(said -> said.sentence().isWriting() && !said.sentence().isHeading())
            .filter(said -> !isQuestion(said))
            .filter(said -> Words.count(said.text()) >= SHORTEST_POINT)
            .filter(said -> Words.count(said.text()) <= LONGEST_POINT && said.stems().size() >= 3)
            .toList();
    return gathering.of(stated, SAME_POINT, MEANS_POINT).stream()
        .filter(same -> pages(same) > 1)
        .map(same -> point(same, pages))
        .sorted(
            Comparator.comparingInt((Point p) -> -p.sayers())
                .thenComparing(p -> -p.sources().size())
                .thenComparing(Point::text))
        .limit(MOST)
        .toList();
  }

  private static Point point(List<Said> same, List<ReadPage> pages) {
    List<Source> sources =
        same.stream()
            .map(s -> new Source(pages.get(s.page()).name(), s.sentence().number()))
            .toList();
    return new Point(central(same).text(), sources);
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
    return all.stream()
        .mapToDouble(
            other -> {
              long both = one.stems().stream().filter(other.stems()::contains).count();
              long either = one.stems().size() + other.stems().size() - both;
              return either == 0 ? 0 : (double) both / either;
            })
        .sum();
  }
}
