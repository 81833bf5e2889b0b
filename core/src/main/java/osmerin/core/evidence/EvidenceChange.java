package osmerin.core.evidence;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import osmerin.core.keyword.NormalForm;
import osmerin.core.keyword.PageAddress;

/**
 * What changed from one evidence of a phrase to a later one. Pages are the same by the normal form
 * of their addresses; terms, and headings that more than one page has, by that of their words.
 *
 * @param newPages in their order
 * @param gonePages as they were ordered before
 */
public record EvidenceChange(
    List<RankingPage> newPages,
    List<RankingPage> gonePages,
    List<String> newTerms,
    List<String> goneTerms,
    List<String> newHeadings,
    List<String> goneHeadings) {

  /** What a phrase's evidence says at one time. */
  public record State(Evidence evidence, PagesSay say) {}

  /** Compares two. */
  public static EvidenceChange between(State before, State now) {
    Function<RankingPage, String> address = EvidenceChange::key;
    List<RankingPage> were = before.evidence().pages();
    List<RankingPage> are = now.evidence().pages();
    return new EvidenceChange(
        besides(are, were, address),
        besides(were, are, address),
        besides(terms(now), terms(before), NormalForm::of),
        besides(terms(before), terms(now), NormalForm::of),
        besides(headings(now), headings(before), NormalForm::of),
        besides(headings(before), headings(now), NormalForm::of));
  }

  /** A file has no address; then its name is what it is known by. */
  private static String key(RankingPage page) {
    return PageAddress.of(page.address()).map(PageAddress::value).orElse(page.address());
  }

  private static List<String> terms(State state) {
    return state.evidence().terms().stream().map(Term::phrase).toList();
  }

  private static List<String> headings(State state) {
    return state.say().headings().stream()
        .filter(heading -> heading.pages() > 1)
        .map(PagesSay.Heading::text)
        .toList();
  }

  private static <T> List<T> besides(List<T> these, List<T> those, Function<T, String> key) {
    Set<String> known =
        those.stream().map(key).collect(Collectors.toCollection(LinkedHashSet::new));
    return these.stream().filter(one -> !known.contains(key.apply(one))).toList();
  }

  /** Whether nothing of it differs. */
  public boolean isNothing() {
    return Stream.of(newPages, gonePages, newTerms, goneTerms, newHeadings, goneHeadings)
        .allMatch(List::isEmpty);
  }
}
