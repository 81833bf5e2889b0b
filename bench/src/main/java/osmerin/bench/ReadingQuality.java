package osmerin.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.PagesSay.Source;
import osmerin.core.evidence.ReadPage;
import osmerin.core.evidence.Term;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.RememberedMeaning;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.formats.html.PageReader;
import osmerin.meaning.SentenceModel;

/**
 * How well a subject's pages were read. A heading or point of two pages or more is found when one
 * gathering holds at least half of those who have it, on two pages; of pairs in a gathering those
 * are right that are marked alike.
 *
 * @param kinds pages whose kind is right
 * @param length pages whose words are within 12 % of the marked ones
 * @param leaked blocks that are no part of their page
 */
record ReadingQuality(
    int pages,
    int kinds,
    int length,
    List<String> leaked,
    Share terms,
    Gathered headings,
    Gathered points,
    Share questions,
    int falseQuestions) {
  private static final double NEAR = 0.12;

  /** So many of so many. */
  record Share(int of, int all) {
    double value() {
      return all == 0 ? 1 : (double) of / all;
    }

    @Override
    public String toString() {
      return of + "/" + all;
    }
  }

  /**
   * What was gathered.
   *
   * @param found of those that two pages or more have
   * @param right pairs of those that were gathered
   */
  record Gathered(Share found, Share right) {}

  /** One marked text in a gathering. */
  private record Member(String page, String name) {}

  static ReadingQuality of(MarkedSubject subject, @Nullable Meaning meaning) {
    List<ReadPage> read = new ArrayList<>();
    List<String> leaked = new ArrayList<>();
    int kinds = 0;
    int length = 0;
    for (MarkedPage marked : subject.pages()) {
      ReadPage page = PageReader.read(marked.name(), marked.html());
      read.add(page);
      PageKind kind = PageKind.of(page).kind();
      kinds += kind == marked.kind() ? 1 : 0;
      length += Math.abs(page.keptWords() - marked.words()) <= NEAR * marked.words() ? 1 : 0;
      page.kept().stream()
          .map(PageBlock::text)
          .filter(text -> !marked.text().contains(text))
          .forEach(text -> leaked.add(marked.name() + ": " + text));
    }
    PagesSay say = PagesSay.of(read, List.of(subject.keyword()), meaning);
    Set<String> asked = new HashSet<>();
    subject.pages().forEach(page -> asked.addAll(page.questions()));
    int known = (int) say.questions().stream().filter(asked::contains).count();
    int found = (int) asked.stream().filter(question -> isAsked(question, say)).count();
    return new ReadingQuality(
        read.size(),
        kinds,
        length,
        leaked,
        terms(subject, read),
        gathered(
            subject,
            read,
            say.headings().stream().map(PagesSay.Heading::sources).toList(),
            MarkedPage::headings),
        gathered(
            subject,
            read,
            say.points().stream().map(PagesSay.Point::sources).toList(),
            MarkedPage::points),
        new Share(found, asked.size()),
        say.questions().size() - known);
  }

  /** In these words, or in words of which most are the same. */
  private static boolean isAsked(String question, PagesSay say) {
    Stems stems = new Stems();
    Set<String> asked = Set.copyOf(stems.all(question));
    return say.questions().stream()
        .anyMatch(
            shown -> {
              Set<String> other = new HashSet<>(stems.all(shown));
              int all = other.size() + asked.size();
              other.retainAll(asked);
              return 2 * other.size() > all - other.size();
            });
  }

  private static Share terms(MarkedSubject subject, List<ReadPage> read) {
    Stems stems = new Stems();
    List<Set<String>> found =
        Evidence.of(read.stream().map(ReadPage::ranking).toList(), List.of()).terms().stream()
            .map(Term::phrase)
            .map(phrase -> stems.subject(phrase, Language.ENGLISH))
            .toList();
    int hit =
        (int)
            subject.terms().stream()
                .map(term -> stems.subject(term, Language.ENGLISH))
                .filter(term -> found.stream().anyMatch(f -> f.containsAll(term)))
                .count();
    return new Share(hit, subject.terms().size());
  }

  private static Gathered gathered(
      MarkedSubject subject,
      List<ReadPage> read,
      List<List<Source>> gatherings,
      Function<MarkedPage, Map<String, String>> names) {
    Map<String, Integer> having = new HashMap<>();
    subject
        .pages()
        .forEach(
            page ->
                new HashSet<>(names.apply(page).values())
                    .forEach(name -> having.merge(name, 1, Integer::sum)));
    having.values().removeIf(pages -> pages < 2);
    Set<String> found = new HashSet<>();
    int right = 0;
    int pairs = 0;
    for (List<Source> gathering : gatherings) {
      List<Member> members = members(subject, read, gathering, names);
      found.addAll(held(members, having));
      for (int a = 0; a < members.size(); a++) {
        for (int b = 0; b < a; b++) {
          pairs++;
          right += members.get(a).name().equals(members.get(b).name()) ? 1 : 0;
        }
      }
    }
    return new Gathered(new Share(found.size(), having.size()), new Share(right, pairs));
  }

  private static Set<String> held(Collection<Member> members, Map<String, Integer> having) {
    Map<String, Set<String>> pages = new HashMap<>();
    members.forEach(m -> pages.computeIfAbsent(m.name(), n -> new HashSet<>()).add(m.page()));
    pages.keySet().retainAll(having.keySet());
    pages.entrySet().removeIf(e -> e.getValue().size() < Math.max(2, having.get(e.getKey()) / 2.0));
    return pages.keySet();
  }

  private static List<Member> members(
      MarkedSubject subject,
      List<ReadPage> read,
      List<Source> gathering,
      Function<MarkedPage, Map<String, String>> names) {
    List<Member> members = new ArrayList<>();
    for (Source source : gathering) {
      for (int page = 0; page < read.size(); page++) {
        if (read.get(page).name().equals(source.page())) {
          String text = read.get(page).sentences().get(source.sentence() - 1).text();
          String name = names.apply(subject.pages().get(page)).get(text);
          if (name != null) {
            members.add(new Member(source.page(), name));
          }
        }
      }
    }
    return members;
  }

  static final List<MarkedSubject> SUBJECTS =
      List.of(
          MarkedSubject.of("iron-pan", "seasoning cast iron"),
          MarkedSubject.of("irregular-income", "budget irregular income"),
          MarkedSubject.of("puppy-lead", "train puppy to walk on lead"));

  /** Each subject by words and meaning, and by words alone. */
  static void run() {
    Meaning meaning = new RememberedMeaning(new SentenceModel(), (done, all) -> {});
    System.out.printf(
        "%n%-34s %5s | %5s | %-6s | %-12s | %-12s | %-12s | %-9s%n",
        "untidy pages", "kinds", "words", "leaked", "terms", "headings", "points", "questions");
    for (MarkedSubject subject : SUBJECTS) {
      of(subject, meaning).line(subject.keyword());
      of(subject, null).line("  by words alone");
    }
  }

  private void line(String name) {
    System.out.printf(
        Locale.ENGLISH,
        "%-34s %5d | %5d | %6d | %12s | %5s %6s | %5s %6s | %6s, %d%n",
        name,
        kinds,
        length,
        leaked.size(),
        terms,
        headings.found(),
        headings.right(),
        points.found(),
        points.right(),
        questions,
        falseQuestions);
  }
}
