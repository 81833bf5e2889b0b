package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * The sentences of pages that rank for the same keywords, ready to be compared. What all of them
 * share says nothing about what two of them share: vectors are centred on the mean of these pages'
 * own, and the words of the keywords are left out. A heading is compared by itself and by the first
 * sentences below it.
 */
final class Sayings {
  private static final int BLOCKS_THAT_TELL = 40;

  /** Sentences below a heading that say what it is about. */
  private static final int BELOW = 3;

  /** How much of a heading's likeness is that of what stands below it. */
  private static final double SECTION = 0.4;

  /** Of the words of a first heading so many stand in the title when it is one. */
  private static final double OF_TITLE = 0.5;

  /** How much a point made below a heading counts, beside each word of the heading. */
  private static final double POINT = 1.0;

  /** Words in the titles of so many pages stand for keywords that nobody named. */
  private static final double IN_TITLES = 0.5;

  /** The number of a heading is its page's, and no part of what it says. */
  private static final Pattern NUMBERING =
      Pattern.compile(
          "^\\W{0,20}+(?:(?:step|part|tip|rule|no\\.?|week|day)\\s{1,9}+(?:one|two|three|four|five|six"
              + "|seven|eight|nine|ten|\\d{1,2})\\s{0,9}+[.):–—-]"
              + "|\\d{1,2}(?:\\.\\d{1,2}){0,9}\\s{0,9}+[.):–—-])\\s+",
          Pattern.CASE_INSENSITIVE);

  /**
   * A sentence of one of the pages.
   *
   * @param page from 0
   * @param text without numbering
   * @param stems of its subject, without those of the keywords
   * @param below the sentences below a heading; none below others
   */
  record Said(
      int page, ReadPage.Sentence sentence, String text, Set<String> stems, List<Said> below) {}

  private final List<ReadPage> pages;
  private final @Nullable Meaning meaning;
  private final Stems stems = new Stems();
  private final Set<String> keywords;
  private final List<Said> all = new ArrayList<>();
  private final Map<Said, Integer> points = new IdentityHashMap<>();

  /**
   * @param keywords for which the pages rank; where there are none, the words in most of their
   *     titles stand for them
   */
  Sayings(List<ReadPage> pages, Collection<String> keywords, @Nullable Meaning meaning) {
    this.pages = pages;
    this.meaning = meaning;
    List<Language> languages = pages.stream().map(Sayings::language).toList();
    this.keywords = keywords.isEmpty() ? inTitles(languages) : stemsOf(keywords, languages);
    for (int page = 0; page < pages.size(); page++) {
      read(page, languages.get(page));
    }
  }

  List<Said> all() {
    return all;
  }

  /** Headings are compared by the points that stand below them too, once those were gathered. */
  void known(List<List<Said>> gathered) {
    for (int point = 0; point < gathered.size(); point++) {
      for (Said said : gathered.get(point)) {
        points.put(said, point);
      }
    }
  }

  private Set<String> stemsOf(Collection<String> keywords, List<Language> languages) {
    Set<String> found = new HashSet<>();
    for (Language language : new HashSet<>(languages)) {
      keywords.forEach(keyword -> found.addAll(stems.subject(keyword, language)));
    }
    return found;
  }

  private Set<String> inTitles(List<Language> languages) {
    Map<String, Integer> titles = new HashMap<>();
    for (int page = 0; page < pages.size(); page++) {
      stems
          .subject(pages.get(page).title(), languages.get(page))
          .forEach(stem -> titles.merge(stem, 1, Integer::sum));
    }
    titles.values().removeIf(count -> count < Math.max(3, IN_TITLES * pages.size()));
    return titles.keySet();
  }

  private void read(int page, Language language) {
    Set<String> title = subject(pages.get(page).title(), language);
    List<Said> below = new ArrayList<>();
    boolean first = true;
    for (ReadPage.Sentence sentence : pages.get(page).sentences()) {
      String text = text(sentence);
      Set<String> subject = subject(text, language);
      if (sentence.isHeading()) {
        below = new ArrayList<>();
      }
      boolean isTitle = sentence.isHeading() && isTitle(subject, title, first);
      first &= !sentence.isHeading();
      List<Said> its = sentence.isHeading() ? below : List.of();
      Said said = new Said(page, sentence, text, withoutKeywords(subject), its);
      if (!isTitle) {
        all.add(said);
      }
      if (!sentence.isHeading() && sentence.isWriting()) {
        below.add(said);
      }
    }
  }

  /** A title may name the site too, and differ by a word from what stands above the text. */
  private static boolean isTitle(Set<String> heading, Set<String> title, boolean first) {
    long both = heading.stream().filter(title::contains).count();
    return both > 0 && (heading.equals(title) || first && both >= OF_TITLE * heading.size());
  }

  private static String text(ReadPage.Sentence sentence) {
    String bare = sentence.isHeading() ? NUMBERING.matcher(sentence.text()).replaceFirst("") : "";
    return bare.isBlank() ? sentence.text() : bare;
  }

  private Set<String> subject(String text, Language language) {
    Set<String> subject = new LinkedHashSet<>();
    for (String word : Words.subject(text, language)) {
      if (!CommonWords.contains(word)) {
        subject.add(stems.of(word, language));
      }
    }
    if (subject.isEmpty()) {
      subject.addAll(stems.subject(text, language));
    }
    if (subject.isEmpty()) {
      subject.addAll(stems.all(text, language));
    }
    return subject;
  }

  /** All of them where nothing else would be left. */
  private Set<String> withoutKeywords(Set<String> subject) {
    Set<String> rest = new LinkedHashSet<>(subject);
    rest.removeAll(keywords);
    return rest.isEmpty() ? subject : rest;
  }

  /** The language of which a page has the most stop words; English at a tie. */
  static Language language(ReadPage page) {
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

  /** Gathers headings, which are likened by what stands below them too. */
  List<List<Said>> headings(double byWords, double byMeaning) {
    List<Said> headings = all.stream().filter(said -> said.sentence().isHeading()).toList();
    return gathered(
        headings,
        headings.stream().map(this::withBelow).toList(),
        meaning == null ? null : sideBySide(headings),
        meaning == null ? byWords : byMeaning);
  }

  /**
   * Gathers some of them by themselves.
   *
   * @param byWords the least likeness, where meaning is not known
   * @param byMeaning the least likeness where it is
   */
  List<List<Said>> gathered(List<Said> said, double byWords, double byMeaning) {
    return gathered(
        said,
        said.stream().map(Sayings::bare).toList(),
        meaning == null ? null : Centred.of(of(said, vectors(said.stream()))),
        meaning == null ? byWords : byMeaning);
  }

  private static List<List<Said>> gathered(
      List<Said> said,
      List<Map<String, Double>> weights,
      float @Nullable [][] vectors,
      double least) {
    List<Alike.Text> texts = new ArrayList<>();
    for (int i = 0; i < said.size(); i++) {
      float[] vector = vectors == null ? null : vectors[i];
      texts.add(new Alike.Text(said.get(i).page(), weights.get(i), vector));
    }
    return Alike.gathered(texts, least).stream()
        .map(same -> same.stream().map(said::get).toList())
        .toList();
  }

  private static Map<String, Double> bare(Said said) {
    Map<String, Double> weights = new TreeMap<>();
    said.stems().forEach(stem -> weights.put(stem, 1.0));
    return weights;
  }

  /** Its own stems count fully, those below a heading less, and so do points made there. */
  private Map<String, Double> withBelow(Said heading) {
    Map<String, Double> weights = new TreeMap<>();
    first(heading.below()).forEach(b -> b.stems().forEach(stem -> weights.put(stem, SECTION)));
    heading.below().stream()
        .map(points::get)
        .filter(Objects::nonNull)
        .forEach(point -> weights.put("point " + point, POINT));
    weights.putAll(bare(heading));
    return weights;
  }

  private Map<String, float[]> vectors(Stream<Said> said) {
    return meaning.vectors(said.map(Said::text).collect(Collectors.toSet()));
  }

  private static List<float[]> of(List<Said> said, Map<String, float[]> vectors) {
    return said.stream().map(one -> vectors.get(one.text())).toList();
  }

  private float[][] sideBySide(List<Said> headings) {
    Map<String, float[]> vectors =
        vectors(
            headings.stream().flatMap(h -> Stream.concat(Stream.of(h), first(h.below()).stream())));
    List<float[]> sections =
        headings.stream().map(h -> Centred.mean(of(first(h.below()), vectors))).toList();
    return Centred.sideBySide(Centred.of(of(headings, vectors)), Centred.of(sections), SECTION);
  }

  private static List<Said> first(List<Said> below) {
    return below.subList(0, Math.min(BELOW, below.size()));
  }
}
