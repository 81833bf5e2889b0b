package osmerin.formats.keywords;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;

/**
 * What a keyword file holds.
 *
 * @param rows rows below the header, without empty lines
 * @param keywords one for each normal form, in the order of the file
 * @param own where the site's own pages stand, by the normal form of the keyword
 * @param repeated rows that repeat a keyword of the same file
 * @param problems by line
 */
public record KeywordRows(
    int rows,
    List<Keyword> keywords,
    Map<String, OwnRanking> own,
    int repeated,
    List<RowProblem> problems) {
  public KeywordRows {
    keywords = List.copyOf(keywords);
    own = Map.copyOf(own);
    problems = List.copyOf(problems);
  }

  /**
   * Keywords with the ranking pages that another file has for them; who is not in it keeps its own.
   *
   * @param ranking keywords with ranking pages; those that are not among the keywords are passed
   *     over
   */
  public static List<Keyword> withPages(List<Keyword> keywords, List<Keyword> ranking) {
    Map<String, List<PageAddress>> pagesOf = new HashMap<>();
    ranking.forEach(k -> pagesOf.put(k.normal(), k.pages()));
    return keywords.stream()
        .map(
            k -> {
              List<PageAddress> pages = pagesOf.getOrDefault(k.normal(), List.of());
              return pages.isEmpty() ? k : k.withPages(pages);
            })
        .toList();
  }

  /** Rows that were left out. */
  public long rejected() {
    return problems.stream().filter(RowProblem::rejected).count();
  }
}
