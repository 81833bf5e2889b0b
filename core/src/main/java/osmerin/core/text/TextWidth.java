package osmerin.core.text;

/** How wide a text is, by the kind of its letters. */
public enum TextWidth {
  /**
   * In the faces that the application ships: a little more than the letters' own widths, so that a
   * label that fits by this fits on the page.
   */
  AT_MOST(0.38, 0.57, 0.72, 0.92, 1.05),

  /** About, in a common sans-serif face, as titles of search results have. */
  ABOUT(0.25, 0.5, 0.65, 0.8, 1);

  private static final String NARROW = "iljtfrI.,:;'’|!()[] -";
  private static final String WIDE = "mwMWQ@%&—…";

  /** From here on scripts whose letters fill a square. */
  private static final int SQUARE_FROM = 0x2E80;

  private final double narrow;
  private final double usual;
  private final double capital;
  private final double wide;
  private final double square;

  TextWidth(double narrow, double usual, double capital, double wide, double square) {
    this.narrow = narrow;
    this.usual = usual;
    this.capital = capital;
    this.wide = wide;
    this.square = square;
  }

  /** In pixels, of a text in letters of this size in pixels. */
  public double of(String text, double size) {
    return text.codePoints().mapToDouble(this::of).sum() * size;
  }

  private double of(int letter) {
    if (NARROW.indexOf(letter) >= 0) {
      return narrow;
    }
    if (WIDE.indexOf(letter) >= 0) {
      return wide;
    }
    if (letter > SQUARE_FROM) {
      return square;
    }
    return Character.isUpperCase(letter) ? capital : usual;
  }
}
