package osmerin.core.evidence;

import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/**
 * A run of text on a page: a heading, a paragraph, an item, a cell, lines of code.
 *
 * @param leftOut why it is no part of what the page says ("menu", "footer"), null when it is
 */
public record PageBlock(Kind kind, String text, @Nullable String leftOut) {
  /** What it is on the page. */
  public enum Kind {
    HEADING,
    PARAGRAPH,
    ITEM,
    CELL,
    CODE
  }

  public boolean isKept() {
    return leftOut == null;
  }

  public boolean isHeading() {
    return kind == Kind.HEADING;
  }

  public int words() {
    return Words.count(text);
  }
}
