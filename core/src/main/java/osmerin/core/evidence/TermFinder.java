package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import osmerin.core.evidence.Phrases.Phrase;
import osmerin.core.text.Stems;

/**
 * Finds words and phrases of 1–4 words that at least 40 % of the pages use. A term weighs
 *
 * <pre>
 *   share of pages · (1 + share of pages with it in a heading or title)
 *     · ln(1 + uses here per 1,000 words / uses elsewhere per 1,000 words) · ln(1 + words in it)
 * </pre>
 *
 * where uses elsewhere are smoothed by one use in the other evidence. A term that stands mostly
 * inside a longer one is left to the longer one. All forms of a phrase ({@link Phrases}) are one.
 */
final class TermFinder {
  private static final double SHARE_OF_PAGES = 0.4;

  /** A shorter term goes when the longer one has at least this part of its uses. */
  private static final double INSIDE = 0.6;

  private final Phrases phrases = new Phrases(new Stems());
  private final List<RankingPage> pages;
  private final int[] words;
  private final Map<String, int[]> uses = new HashMap<>();
  private final Map<String, Integer> headed = new HashMap<>();
  private final Map<String, Map<String, Integer>> spellings = new HashMap<>();
  private final Map<String, Integer> usesElsewhere = new HashMap<>();
  private final int wordsElsewhere;

  TermFinder(List<RankingPage> pages, List<RankingPage> elsewhere) {
    this.pages = pages;
    words = pages.stream().mapToInt(RankingPage::words).toArray();
    for (int page = 0; page < pages.size(); page++) {
      count(page);
    }
    uses.values().removeIf(counts -> used(counts) < SHARE_OF_PAGES * pages.size());
    wordsElsewhere = elsewhere.stream().mapToInt(RankingPage::words).sum();
    elsewhere.forEach(this::countElsewhere);
  }

  List<Term> terms() {
    Set<String> inside = insideLonger();
    List<Term> terms = new ArrayList<>();
    uses.forEach(
        (stem, counts) -> {
          if (!inside.contains(stem)) {
            terms.add(term(stem, counts));
          }
        });
    terms.sort(Comparator.comparingDouble((Term t) -> -t.weight()).thenComparing(Term::phrase));
    return terms;
  }

  private void count(int page) {
    Set<String> inHeadings = new HashSet<>();
    RankingPage it = pages.get(page);
    // The title says what the page is about but is not part of its length.
    phrases.in(it.title()).forEach(phrase -> inHeadings.add(phrase.key()));
    for (String heading : it.headings()) {
      for (Phrase phrase : phrases.in(heading)) {
        inHeadings.add(phrase.key());
        add(page, phrase);
      }
    }
    it.blocks().forEach(block -> phrases.in(block).forEach(phrase -> add(page, phrase)));
    inHeadings.forEach(key -> headed.merge(key, 1, Integer::sum));
  }

  private void add(int page, Phrase phrase) {
    uses.computeIfAbsent(phrase.key(), k -> new int[pages.size()])[page]++;
    spellings
        .computeIfAbsent(phrase.key(), k -> new HashMap<>())
        .merge(phrase.text(), 1, Integer::sum);
  }

  private void countElsewhere(RankingPage page) {
    List<String> texts = new ArrayList<>(page.headings());
    texts.addAll(page.blocks());
    for (String text : texts) {
      for (Phrase phrase : phrases.in(text)) {
        if (uses.containsKey(phrase.key())) {
          usesElsewhere.merge(phrase.key(), 1, Integer::sum);
        }
      }
    }
  }

  private static int used(int[] counts) {
    int used = 0;
    for (int count : counts) {
      used += count > 0 ? 1 : 0;
    }
    return used;
  }

  private static int total(int[] counts) {
    int total = 0;
    for (int count : counts) {
      total += count;
    }
    return total;
  }

  private Set<String> insideLonger() {
    Set<String> inside = new HashSet<>();
    for (Map.Entry<String, int[]> longer : uses.entrySet()) {
      int needed = total(longer.getValue());
      for (String part : partsOf(longer.getKey().split(" "))) {
        int[] counts = uses.get(part);
        if (counts != null && needed >= INSIDE * total(counts)) {
          inside.add(part);
        }
      }
    }
    return inside;
  }

  /** Keys with some of the stems of a key, not all. */
  private static List<String> partsOf(String[] stems) {
    List<String> parts = new ArrayList<>();
    for (int chosen = 1; chosen < (1 << stems.length) - 1; chosen++) {
      List<String> part = new ArrayList<>();
      for (int stem = 0; stem < stems.length; stem++) {
        if ((chosen >> stem & 1) == 1) {
          part.add(stems[stem]);
        }
      }
      parts.add(String.join(" ", part));
    }
    return parts;
  }

  private Term term(String key, int[] counts) {
    double[] rates = new double[used(counts)];
    int at = 0;
    for (int page = 0; page < counts.length; page++) {
      if (counts[page] > 0) {
        rates[at++] = 1000.0 * counts[page] / words[page];
      }
    }
    Quartiles range = Quartiles.of(rates);
    return new Term(spelling(key), used(counts), range.lower(), range.upper(), weight(key, counts));
  }

  private double weight(String key, int[] counts) {
    double here = 1000.0 * total(counts) / total(words);
    double elsewhere =
        1000.0 * (usesElsewhere.getOrDefault(key, 0) + 1) / Math.max(1000, wordsElsewhere);
    double share = (double) used(counts) / pages.size();
    double inHeadings = (double) headed.getOrDefault(key, 0) / pages.size();
    int length = key.split(" ").length;
    return share * (1 + inHeadings) * Math.log(1 + here / elsewhere) * Math.log(1 + length);
  }

  private String spelling(String key) {
    return spellings.get(key).entrySet().stream()
        .min(
            Comparator.<Map.Entry<String, Integer>>comparingInt(e -> -e.getValue())
                .thenComparing(Map.Entry::getKey))
        .orElseThrow()
        .getKey();
  }
}
