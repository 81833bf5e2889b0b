package osmerin.core.brief;

import osmerin.core.text.PhraseMatch;
import osmerin.core.text.Stems;
import osmerin.core.text.Verdict;

/**
 * A working title held against the width of a search result and its primary keyword.
 *
 * @param characters Unicode code points
 * @param pixels estimated width at the usual size of a result title
 * @param length met when it fits and is not too short, partly when it is short, not met when it is
 *     cut off or empty
 * @param keyword met when the keyword stands in it as it is, partly when its words do
 */
public record TitleCheck(int characters, int pixels, Verdict length, Verdict keyword) {
  /** Shorter titles leave room unused. */
  public static final int FEWEST_CHARACTERS = 25;

  /** Results cut a title at about this width. */
  public static final int MOST_PIXELS = 580;

  private static final String NARROW = "iljtfr.,:;!|'’()[] I";
  private static final String WIDE = "mwMW@%—…";

  /**
   * @param primaryKeyword empty when the article has none; then the keyword does not apply
   */
  public static TitleCheck of(String title, String primaryKeyword) {
    String text = title.strip();
    int pixels = text.codePoints().map(TitleCheck::width).sum();
    int characters = text.codePointCount(0, text.length());
    Verdict keyword =
        primaryKeyword.isBlank()
            ? Verdict.DOES_NOT_APPLY
            : new PhraseMatch(primaryKeyword, new Stems()).in(text);
    return new TitleCheck(characters, pixels, length(characters, pixels), keyword);
  }

  private static Verdict length(int characters, int pixels) {
    if (characters == 0 || pixels > MOST_PIXELS) {
      return Verdict.NOT_MET;
    }
    return characters < FEWEST_CHARACTERS ? Verdict.PARTLY : Verdict.MET;
  }

  /** Widths of a common sans-serif face at 20 px, in three classes and capitals. */
  private static int width(int character) {
    if (NARROW.indexOf(character) >= 0) {
      return 5;
    }
    if (WIDE.indexOf(character) >= 0) {
      return 16;
    }
    return Character.isUpperCase(character) ? 13 : 10;
  }
}
