package osmerin.core.brief;

import osmerin.core.text.PhraseMatch;
import osmerin.core.text.Stems;
import osmerin.core.text.TextWidth;
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

  /** Letters of a result's title have this size. */
  private static final int LETTERS = 20;

  /**
   * @param primaryKeyword empty when the article has none; then the keyword does not apply
   */
  public static TitleCheck of(String title, String primaryKeyword) {
    String text = title.strip();
    int pixels = (int) Math.round(TextWidth.ABOUT.of(text, LETTERS));
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
}
