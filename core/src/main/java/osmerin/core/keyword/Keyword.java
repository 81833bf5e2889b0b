package osmerin.core.keyword;

import java.math.BigDecimal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Language;

/**
 * A phrase people search for. Knows its normal form from the start, since everything compares by
 * it.
 */
public final class Keyword {
  /** No more ranking pages than these are kept for a keyword. */
  public static final int MAX_PAGES = 20;

  /** Longer phrases are no searches. */
  public static final int MAX_LENGTH = 200;

  private final String text;
  private final String normal;
  private final KeywordFigures figures;
  private final @Nullable SearchIntent intent;
  private final List<PageAddress> pages;
  private final @Nullable Language known;

  /**
   * A keyword with everything an import can know of it.
   *
   * @param text the spelling as imported
   * @param intent what the import says, null when it says nothing
   * @param pages the pages that rank for it, best first; more than {@value #MAX_PAGES} are cut off
   * @throws IllegalArgumentException when the text has no word or is too long
   */
  public Keyword(
      String text, KeywordFigures figures, @Nullable SearchIntent intent, List<PageAddress> pages) {
    this(text, figures, intent, pages, null);
  }

  private Keyword(
      String text,
      KeywordFigures figures,
      @Nullable SearchIntent intent,
      List<PageAddress> pages,
      @Nullable Language known) {
    this.text = text.strip();
    this.normal = NormalForm.of(text);
    if (normal.isEmpty() || this.text.length() > MAX_LENGTH) {
      throw new IllegalArgumentException(
          "keyword “" + text + "” is empty or longer than " + MAX_LENGTH + " characters");
    }
    this.figures = figures;
    this.intent = intent;
    this.pages = new LinkedHashSet<>(pages).stream().limit(MAX_PAGES).toList();
    this.known = known;
  }

  private Keyword(Keyword same, Language language) {
    text = same.text;
    normal = same.normal;
    figures = same.figures;
    intent = same.intent;
    pages = same.pages;
    known = language;
  }

  /** A keyword of which only volume and pages are known. */
  public static Keyword of(String text, @Nullable Long searches, List<String> pages) {
    return new Keyword(
        text,
        KeywordFigures.of(searches == null ? null : Volume.exactly(searches)),
        null,
        pages.stream().map(PageAddress::of).flatMap(Optional::stream).toList());
  }

  /** The spelling as imported, without space around it. */
  public String text() {
    return text;
  }

  /** The form by which keywords are the same. */
  public String normal() {
    return normal;
  }

  public @Nullable Volume volume() {
    return figures.volume();
  }

  public @Nullable Integer difficulty() {
    return figures.difficulty();
  }

  public @Nullable BigDecimal costPerClick() {
    return figures.costPerClick();
  }

  public @Nullable SearchIntent intent() {
    return intent;
  }

  /** The language it is in, English where none is known. */
  public Language language() {
    return known == null ? Language.ENGLISH : known;
  }

  /** Whether its language is known, by a person or by a guess. */
  public boolean isLanguageKnown() {
    return known != null;
  }

  /** Best first, each once. */
  public List<PageAddress> pages() {
    return pages;
  }

  /**
   * This keyword with the figures of a newer import where it has them; no figure never overwrites a
   * figure.
   */
  public Keyword updatedBy(Keyword newer) {
    return new Keyword(
        text,
        figures.updatedBy(newer.figures),
        newer.intent != null ? newer.intent : intent,
        newer.pages.isEmpty() ? pages : newer.pages,
        known);
  }

  /** This keyword with another search intent. */
  public Keyword withIntent(@Nullable SearchIntent other) {
    return new Keyword(text, figures, other, pages, known);
  }

  /** This keyword with other ranking pages, best first. */
  public Keyword withPages(List<PageAddress> others) {
    return new Keyword(text, figures, intent, others, known);
  }

  /** This keyword, known to be in a language. */
  public Keyword in(Language language) {
    return new Keyword(this, language);
  }

  /** Whether all that an import can know is the same; the language is no part of that. */
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Keyword that
        && text.equals(that.text)
        && figures.equals(that.figures)
        && intent == that.intent
        && pages.equals(that.pages);
  }

  @Override
  public int hashCode() {
    return text.hashCode();
  }

  @Override
  public String toString() {
    return "“" + text + "”, " + volume() + ", " + difficulty() + ", " + pages.size() + " pages";
  }
}
