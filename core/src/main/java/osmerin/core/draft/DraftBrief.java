package osmerin.core.draft;

import java.util.List;
import java.util.Optional;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;

/**
 * What a draft is held against.
 *
 * @param title the article's title, for a draft without a heading of level 1
 * @param primaryKeyword empty when there is none
 * @param secondaryKeywords of the brief, may be empty
 * @param length empty when the brief sets none
 * @param terms the terms of the evidence, may be empty
 */
public record DraftBrief(
    String title,
    String primaryKeyword,
    List<String> secondaryKeywords,
    Optional<WordRange> length,
    Outline outline,
    List<Term> terms) {
  public DraftBrief {
    secondaryKeywords = List.copyOf(secondaryKeywords);
    terms = List.copyOf(terms);
  }
}
