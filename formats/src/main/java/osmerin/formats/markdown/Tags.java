package osmerin.formats.markdown;

import osmerin.formats.limits.Limits;

/** Tags of HTML that stand in a text. */
final class Tags {
  private Tags() {}

  /**
   * Whether they are more than is read. A line that could open a block of HTML is held against a
   * pattern that recurses with each attribute, so its length counts too; a long paragraph with a
   * tag somewhere within it is not such a line.
   */
  static boolean areTooMany(String markdown) {
    int tags = 0;
    int line = 0;
    for (int i = 0; i < markdown.length(); i++) {
      char sign = markdown.charAt(i);
      if (sign == '\n') {
        line = i + 1;
      } else if (sign == '<') {
        tags++;
        if (tags > Limits.MARKDOWN_TAGS
            || opensBlock(markdown, line, i) && isLong(markdown, line)) {
          return true;
        }
      }
    }
    return false;
  }

  /** Only signs of lists and quotations stand before a block. */
  private static boolean opensBlock(String markdown, int line, int tag) {
    for (int i = line; i < tag; i++) {
      if (" \t>*+-.)0123456789".indexOf(markdown.charAt(i)) < 0) {
        return false;
      }
    }
    return true;
  }

  private static boolean isLong(String markdown, int line) {
    int end = markdown.indexOf('\n', line);
    return (end < 0 ? markdown.length() : end) - line > Limits.MARKDOWN_TAG_LINE;
  }
}
