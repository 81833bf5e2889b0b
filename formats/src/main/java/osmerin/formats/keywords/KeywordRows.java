package osmerin.formats.keywords;

import java.util.List;
import osmerin.core.keyword.Keyword;

/**
 * What a keyword file holds.
 *
 * @param rows rows below the header, without empty lines
 * @param keywords one for each normal form, in the order of the file
 * @param repeated rows that repeat a keyword of the same file
 * @param problems by line
 */
public record KeywordRows(
    int rows, List<Keyword> keywords, int repeated, List<RowProblem> problems) {
  public KeywordRows {
    keywords = List.copyOf(keywords);
    problems = List.copyOf(problems);
  }

  /** Rows that were left out. */
  public long rejected() {
    return problems.stream().filter(RowProblem::rejected).count();
  }
}
