package osmerin.core.keyword;

import java.math.BigDecimal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;

/**
 * A phrase people search for.
 *
 * @param text the spelling as imported, without space around it
 * @param volume searches a month, null when unknown
 * @param difficulty 0–100, null when unknown
 * @param costPerClick in the currency of the import, 0 or more, null when unknown
 * @param intent what the import says, null when it says nothing
 * @param pages the pages that rank for it, best first, at most {@value #MAX_PAGES}; may be empty
 */
public record Keyword(
    String text,
    @Nullable Volume volume,
    @Nullable Integer difficulty,
    @Nullable BigDecimal costPerClick,
    @Nullable SearchIntent intent,
    List<PageAddress> pages) {

  /** No more ranking pages than these are kept for a keyword. */
  public static final int MAX_PAGES = 20;

  /** Longer phrases are no searches. */
  public static final int MAX_LENGTH = 200;

  public Keyword {
    text = text.strip();
    if (NormalForm.of(text).isEmpty() || text.length() > MAX_LENGTH) {
      throw new IllegalArgumentException(
          "keyword “" + text + "” is empty or longer than " + MAX_LENGTH + " characters");
    }
    if (difficulty != null && (difficulty < 0 || difficulty > 100)) {
      throw new IllegalArgumentException("difficulty " + difficulty + " is not between 0 and 100");
    }
    if (costPerClick != null && costPerClick.signum() < 0) {
      throw new IllegalArgumentException("cost per click " + costPerClick + " is below zero");
    }
    pages = new LinkedHashSet<>(pages).stream().limit(MAX_PAGES).toList();
  }

  /** A keyword of which only volume and pages are known. */
  public static Keyword of(String text, @Nullable Long searches, List<String> pages) {
    return new Keyword(
        text,
        searches == null ? null : Volume.exactly(searches),
        null,
        null,
        null,
        pages.stream().map(PageAddress::of).flatMap(Optional::stream).toList());
  }

  /** The form by which keywords are the same. */
  public String normal() {
    return NormalForm.of(text);
  }

  /**
   * This keyword with the figures of a newer import where it has them; no figure never overwrites a
   * figure.
   */
  public Keyword updatedBy(Keyword newer) {
    return new Keyword(
        text,
        newer.volume != null ? newer.volume : volume,
        newer.difficulty != null ? newer.difficulty : difficulty,
        newer.costPerClick != null ? newer.costPerClick : costPerClick,
        newer.intent != null ? newer.intent : intent,
        newer.pages.isEmpty() ? pages : newer.pages);
  }
}
