package osmerin.core.text;

/** Text of which everything can be seen. */
public final class PlainText {
  private PlainText() {}

  /**
   * Whether a text has no control characters, none of zero width, none that turn the direction of
   * writing, and none that stand for nothing: with those a name could look like another one.
   */
  public static boolean isPlain(String text) {
    return text.codePoints().noneMatch(PlainText::isHidden);
  }

  private static boolean isHidden(int letter) {
    return switch (Character.getType(letter)) {
      case Character.CONTROL,
          Character.FORMAT,
          Character.SURROGATE,
          Character.PRIVATE_USE,
          Character.UNASSIGNED,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          true;
      // Letters that leave a gap or nothing at all, though they count as letters or marks.
      default ->
          letter == 0x115F
              || letter == 0x1160
              || letter == 0x3164
              || letter == 0xFFA0
              || letter == 0x034F
              || letter == 0x2800;
    };
  }
}
