package osmerin.core.text;

/** What somebody typed or another program answered, short enough to stand in a sentence. */
public final class Shortened {
  /** Characters that are shown, the sign that more follow among them. */
  public static final int MOST = 200;

  private Shortened() {}

  /** The text itself, or its beginning with "…" when it is longer than {@link #MOST}. */
  public static String of(String text) {
    if (text.length() <= MOST) {
      return text;
    }
    int cut = Character.isHighSurrogate(text.charAt(MOST - 2)) ? MOST - 2 : MOST - 1;
    return text.substring(0, cut) + "…";
  }
}
