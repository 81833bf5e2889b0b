package osmerin.core.landscape;

/**
 * How wide a text is at most, in the faces that the application ships: a little more than the
 * letters' own widths, so that a label that fits by this fits on the page.
 */
final class TextWidth {
  private static final String NARROW = "iljtfrI.,:;'’|!()[] -";
  private static final String WIDE = "mwMWQ@%&—";

  private TextWidth() {}

  /** In pixels, of a text in letters of this size. */
  static double of(String text, double size) {
    return text.codePoints().mapToDouble(TextWidth::of).sum() * size;
  }

  private static double of(int letter) {
    if (NARROW.indexOf(letter) >= 0) {
      return 0.38;
    }
    if (WIDE.indexOf(letter) >= 0) {
      return 0.92;
    }
    if (letter > 0x2E80) {
      return 1.05;
    }
    return Character.isUpperCase(letter) ? 0.72 : 0.57;
  }
}
