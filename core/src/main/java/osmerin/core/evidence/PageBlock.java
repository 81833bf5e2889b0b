package osmerin.core.evidence;

import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/**
 * A run of text on a page: a heading, a paragraph, an item, a cell, lines of code.
 *
 * @param leftOut why it was read as no part of what the page says ("menu", "footer"), null when it
 *     was read as one
 * @param byHand whether a person put it in or out; null when nobody did
 */
public record PageBlock(
    Kind kind, String text, @Nullable String leftOut, @Nullable Boolean byHand) {
  /** What it is on the page. */
  public enum Kind {
    HEADING,
    PARAGRAPH,
    ITEM,
    CELL,
    CODE
  }

  /** A block as it was read. */
  public PageBlock(Kind kind, String text, @Nullable String leftOut) {
    this(kind, text, leftOut, null);
  }

  /** The same, put in or out by a person; as it was read when that says the same. */
  public PageBlock put(boolean in) {
    return new PageBlock(kind, text, leftOut, in == (leftOut == null) ? null : in);
  }

  /** A person's word beats how it was read. */
  public boolean isKept() {
    return byHand == null ? leftOut == null : byHand;
  }

  public boolean isHeading() {
    return kind == Kind.HEADING;
  }

  public int words() {
    return Words.count(text);
  }
}
