package osmerin.core.inventory;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.meaning.Profile;
import osmerin.core.text.Language;
import osmerin.core.text.Stems;
import osmerin.core.worth.ClickCurve;

/**
 * Matches live pages with keyword groups. Ranking pages decide: the group for whose keywords a page
 * ranks best, weighed by searches and by the clicks at its place. Where a page ranks for nothing,
 * the group nearest in meaning to its title does, or the words of its title and address, weighed by
 * rarity. Keywords are handed in one by one, so that memory follows the pages and not the keywords.
 */
public final class PageMatcher {
  /** Where a title shares less than this part of the weight of its and a group's words. */
  private static final double ALIKE = 0.34;

  /** Groups for which a page ranks with less than this part of its whole weight do not count. */
  private static final double WORTH_NAMING = 0.05;

  /** So many groups, the first that are taken, are compared by meaning. */
  private static final int MOST_BY_MEANING = 2_000;

  /**
   * A page to be matched.
   *
   * @param key the caller's
   * @param address where it is
   */
  public record Page(String key, PageAddress address, @Nullable String title) {}

  private final Stems stems = new Stems();
  private final Map<PageAddress, Page> byAddress = new HashMap<>();
  private final Map<String, Map<String, Tally>> ranking = new HashMap<>();
  private final Map<String, Set<String>> wordsOf = new HashMap<>();
  private final Map<String, Integer> frequency = new HashMap<>();
  private final Map<String, List<String>> groupsWith = new HashMap<>();
  private final Map<String, Phrase> phraseOf = new TreeMap<>();
  private final @Nullable Nearness nearness;
  private final Language language;

  /** What a page is to a group's keywords. */
  private static final class Tally {
    private double weight;
    private int keywords;
    private int best = Integer.MAX_VALUE;
  }

  /** Where a page ranks for nothing words decide. */
  public PageMatcher(Collection<Page> pages) {
    this(pages, null, Language.ENGLISH);
  }

  /**
   * @param nearness of the site's phrases, null where meaning is not asked
   * @param language of the titles
   */
  public PageMatcher(Collection<Page> pages, @Nullable Nearness nearness, Language language) {
    pages.forEach(page -> byAddress.putIfAbsent(page.address(), page));
    this.nearness = nearness;
    this.language = language;
  }

  /** Takes a group by its name. */
  public void group(String group, String name) {
    if (phraseOf.size() < MOST_BY_MEANING) {
      phraseOf.put(group, phrase(name));
    }
    Set<String> words = stems.subject(name);
    wordsOf.put(group, words);
    for (String word : words) {
      frequency.merge(word, 1, Integer::sum);
      groupsWith.computeIfAbsent(word, w -> new ArrayList<>()).add(group);
    }
  }

  /** Takes a keyword of a group. */
  public void keyword(String group, Keyword keyword) {
    keyword(group, keyword.volume() == null ? 0 : keyword.volume().searches(), keyword.pages());
  }

  /**
   * Takes a keyword of a group, of which only what ranks for it is known.
   *
   * @param searches a month, 0 when unknown
   * @param pages best first
   */
  public void keyword(String group, long searches, List<PageAddress> pages) {
    for (int i = 0; i < pages.size(); i++) {
      ranks(group, searches, pages.get(i), i + 1);
    }
  }

  /**
   * Takes a page that ranks for a keyword of a group; one that is not to be matched is passed over.
   *
   * @param searches a month, 0 when unknown
   * @param position from 1
   */
  public void ranks(String group, long searches, PageAddress address, int position) {
    Page page = byAddress.get(address);
    if (page != null) {
      Tally tally =
          ranking
              .computeIfAbsent(page.key(), k -> new TreeMap<>())
              .computeIfAbsent(group, g -> new Tally());
      tally.weight += (1 + searches) * ClickCurve.SHIPPED.share(Math.min(10, position));
      tally.keywords++;
      tally.best = Math.min(tally.best, position);
    }
  }

  /**
   * The groups of each page by its key, the surest first. By pages all for which it ranks are
   * named, by words the likeliest one; none when nothing speaks for any.
   */
  public Map<String, List<PageMatch>> matches() {
    return matches(titles());
  }

  /** The same, with what {@link #titles} found. */
  public Map<String, List<PageMatch>> matches(Map<String, PageMatch> titles) {
    Map<String, List<PageMatch>> matches = new HashMap<>();
    for (Page page : byAddress.values()) {
      Map<String, Tally> tallies = ranking.get(page.key());
      PageMatch title = titles.get(page.key());
      matches.put(
          page.key(),
          tallies != null ? byPages(tallies) : title != null ? List.of(title) : List.of());
    }
    return matches;
  }

  /** The group that the title of each page tells by its key, whatever the page ranks for. */
  public Map<String, PageMatch> titles() {
    Map<String, PageMatch> titles = new HashMap<>();
    for (Page page : byAddress.values()) {
      byWords(page).forEach(match -> titles.put(page.key(), match));
    }
    if (nearness != null) {
      titles.putAll(byMeaning(List.copyOf(byAddress.values()), nearness));
    }
    return titles;
  }

  /** The group nearest to the title of each page, of those that are near enough. */
  private Map<String, PageMatch> byMeaning(List<Page> pages, Nearness nearness) {
    Map<String, PageMatch> matches = new HashMap<>();
    if (pages.isEmpty()) {
      return matches;
    }
    nearness.prepare(phraseOf.values());
    nearness.prepare(pages.stream().map(page -> phrase(title(page))).toList());
    for (Page page : pages) {
      Profile profile = nearness.profile(phrase(title(page)));
      phraseOf.forEach(
          (group, phrase) -> {
            double near = nearness.of(profile, nearness.profile(phrase));
            if (near >= Nearness.DEFAULT_LEAST) {
              PageMatch match =
                  new PageMatch(group, PageMatch.Basis.MEANING, Math.min(1, near), 0, 0);
              matches.merge(page.key(), match, (a, b) -> b.sure() > a.sure() ? b : a);
            }
          });
    }
    return matches;
  }

  private Phrase phrase(String text) {
    return Phrase.of(text, language);
  }

  /** The more of the page's weight and the more keywords, the surer. */
  private static List<PageMatch> byPages(Map<String, Tally> tallies) {
    double all = tallies.values().stream().mapToDouble(t -> t.weight).sum();
    List<PageMatch> matches = new ArrayList<>();
    tallies.forEach(
        (group, t) -> {
          if (t.weight / all >= WORTH_NAMING) {
            double sure = t.weight / all * (1 - Math.pow(0.5, t.keywords));
            matches.add(new PageMatch(group, PageMatch.Basis.PAGES, sure, t.keywords, t.best));
          }
        });
    matches.sort(Comparator.comparingDouble(m -> -m.sure()));
    return matches;
  }

  private List<PageMatch> byWords(Page page) {
    Set<String> words = words(page);
    Set<String> candidates = new HashSet<>();
    words.forEach(word -> candidates.addAll(groupsWith.getOrDefault(word, List.of())));
    return candidates.stream()
        .map(
            group ->
                new PageMatch(group, PageMatch.Basis.WORDS, alike(words, wordsOf.get(group)), 0, 0))
        .filter(match -> match.sure() >= ALIKE)
        .sorted(
            Comparator.<PageMatch>comparingDouble(m -> -m.sure()).thenComparing(PageMatch::group))
        .limit(1)
        .toList();
  }

  /** Of the title; of the last part of the address where there is none. */
  private Set<String> words(Page page) {
    return stems.subject(title(page));
  }

  private static String title(Page page) {
    String title = page.title();
    return title == null || title.isBlank() ? page.address().words() : title;
  }

  /**
   * The mean of how much of the title's words the group has and how much of the group's words the
   * title has, each by weight: a title says more than the keyword it answers.
   */
  private double alike(Set<String> title, Set<String> group) {
    Set<String> both = new HashSet<>(title);
    both.retainAll(group);
    double shared = weight(both);
    return 0.3 * shared / weight(title) + 0.7 * shared / weight(group);
  }

  private double weight(Set<String> words) {
    double all = wordsOf.size() + 1.0;
    return words.stream()
        .sorted()
        .mapToDouble(w -> Math.log(1 + all / frequency.getOrDefault(w, 1)))
        .sum();
  }
}
