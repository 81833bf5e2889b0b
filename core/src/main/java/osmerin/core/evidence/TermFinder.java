package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import osmerin.core.text.Stems;
import osmerin.core.text.StopWords;
import osmerin.core.text.Words;

/**
 * Finds words and phrases of 1–4 words that at least 40 % of the pages use. A term weighs
 *
 * <pre>
 *   share of pages · (1 + share of pages with it in a heading or title)
 *     · ln(1 + uses here per 1,000 words / uses elsewhere per 1,000 words) · ln(1 + words in it)
 * </pre>
 *
 * where uses elsewhere are smoothed by one use in the other evidence. A term that stands almost
 * only inside a longer one is left to the longer one.
 */
final class TermFinder {
  private static final int MOST_WORDS = 4;
  private static final double SHARE_OF_PAGES = 0.4;

  /** A shorter term goes when the longer one has at least this part of its uses. */
  private static final double INSIDE = 0.8;

  /** Signs that part phrases wherever they stand. */
  private static final String APART = "\n()\"“”—–";

  /** Signs that part phrases before space, or before more of them. */
  private static final String PARTING = ".!?;:,[]";

  private static final String ENDS = " \t\n\r\u00a0" + PARTING + APART;

  private static final Pattern NUMBER = Pattern.compile("[\\d.,-]+");

  private record Token(String stem, String word, boolean subject, boolean number) {}

  private final Stems stems = new Stems();
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
    phrases(tokens(it.title())).forEach(p -> inHeadings.add(key(p)));
    for (String heading : it.headings()) {
      for (List<Token> phrase : phrases(tokens(heading))) {
        inHeadings.add(key(phrase));
        add(page, phrase);
      }
    }
    it.blocks().forEach(block -> phrases(tokens(block)).forEach(phrase -> add(page, phrase)));
    inHeadings.forEach(key -> headed.merge(key, 1, Integer::sum));
  }

  private void add(int page, List<Token> phrase) {
    String key = key(phrase);
    uses.computeIfAbsent(key, k -> new int[pages.size()])[page]++;
    spellings.computeIfAbsent(key, k -> new HashMap<>()).merge(spelling(phrase), 1, Integer::sum);
  }

  private void countElsewhere(RankingPage page) {
    List<String> texts = new ArrayList<>(page.headings());
    texts.addAll(page.blocks());
    for (String text : texts) {
      for (List<Token> phrase : phrases(tokens(text))) {
        String key = key(phrase);
        if (uses.containsKey(key)) {
          usesElsewhere.merge(key, 1, Integer::sum);
        }
      }
    }
  }

  /** Sentence ends part phrases, so tokens of different sentences never stand together. */
  private List<List<Token>> tokens(String text) {
    List<List<Token>> sentences = new ArrayList<>();
    for (String part : parts(text)) {
      List<Token> tokens = new ArrayList<>();
      for (String word : Words.lower(part)) {
        boolean subject =
            word.length() > 1 && !StopWords.contains(word) && !CommonWords.contains(word);
        boolean number = NUMBER.matcher(word).matches();
        tokens.add(new Token(stems.of(word), word, subject, number));
      }
      sentences.add(tokens);
    }
    return sentences;
  }

  /** What stands between signs that part phrases; a sign within a word ("1,300") parts none. */
  private static List<String> parts(String text) {
    List<String> parts = new ArrayList<>();
    int from = 0;
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      boolean last = i + 1 == text.length() || ENDS.indexOf(text.charAt(i + 1)) >= 0;
      if (APART.indexOf(sign) >= 0 || PARTING.indexOf(sign) >= 0 && last) {
        parts.add(text.substring(from, i));
        from = i + 1;
      }
    }
    parts.add(text.substring(from));
    return parts;
  }

  /** Phrases begin and end with a subject word; a bare number is no term. */
  private static List<List<Token>> phrases(List<List<Token>> sentences) {
    List<List<Token>> phrases = new ArrayList<>();
    for (List<Token> tokens : sentences) {
      for (int from = 0; from < tokens.size(); from++) {
        for (int to = from + 1; to <= Math.min(tokens.size(), from + MOST_WORDS); to++) {
          List<Token> phrase = tokens.subList(from, to);
          boolean whole = phrase.get(0).subject() && phrase.get(phrase.size() - 1).subject();
          if (whole && !phrase.stream().allMatch(Token::number)) {
            phrases.add(phrase);
          }
        }
      }
    }
    return phrases;
  }

  private static String key(List<Token> phrase) {
    return String.join(" ", phrase.stream().map(Token::stem).toList());
  }

  private static String spelling(List<Token> phrase) {
    return String.join(" ", phrase.stream().map(Token::word).toList());
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
      String[] parts = longer.getKey().split(" ");
      int needed = total(longer.getValue());
      for (int from = 0; from < parts.length; from++) {
        for (int to = from + 1; to <= parts.length; to++) {
          String part = String.join(" ", List.of(parts).subList(from, to));
          int[] counts = to - from < parts.length ? uses.get(part) : null;
          if (counts != null && needed >= INSIDE * total(counts)) {
            inside.add(part);
          }
        }
      }
    }
    return inside;
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
