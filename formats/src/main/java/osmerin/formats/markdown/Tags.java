package osmerin.formats.markdown;

import osmerin.formats.limits.Limits;

/** Tags of HTML that stand in a text. */
final class Tags {
  private Tags() {}

  /**
   * Whether they are more than is read. A line that could open a block of HTML is held against a
   * pattern that recurses with each attribute, so its length counts too.
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
        if (tags > Limits.MARKDOWN_TAGS || isLong(markdown, line)) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean isLong(String markdown, int line) {
    int end = markdown.indexOf('\n', line);
    return (end < 0 ? markdown.length() : end) - line > Limits.MARKDOWN_TAG_LINE;
  }
}
