package osmerin.core.brief;

import osmerin.core.intent.IntentReader;
import osmerin.core.text.Language;
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
 * @param intent whether it asks for what the keyword asks for: a way, a comparison, a purchase
 */
public record TitleCheck(
    int characters, int pixels, Verdict length, Verdict keyword, Verdict intent) {
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
    return of(title, primaryKeyword, Language.ENGLISH);
  }

  /** The same for a keyword of a language. */
  public static TitleCheck of(String title, String primaryKeyword, Language language) {
    String text = title.strip();
    int pixels = (int) Math.round(TextWidth.ABOUT.of(text, LETTERS));
    int characters = text.codePointCount(0, text.length());
    Verdict keyword =
        primaryKeyword.isBlank()
            ? Verdict.DOES_NOT_APPLY
            : new PhraseMatch(primaryKeyword, new Stems()).in(text);
    return new TitleCheck(
        characters,
        pixels,
        length(characters, pixels),
        keyword,
        intent(text, primaryKeyword, language));
  }

  private static Verdict intent(String title, String keyword, Language language) {
    if (title.isEmpty() || keyword.isBlank()) {
      return Verdict.DOES_NOT_APPLY;
    }
    IntentReader reader = new IntentReader();
    return reader.wish(title, language).agreesWith(reader.wish(keyword, language))
        ? Verdict.MET
        : Verdict.NOT_MET;
  }

  private static Verdict length(int characters, int pixels) {
    if (characters == 0 || pixels > MOST_PIXELS) {
      return Verdict.NOT_MET;
    }
    return characters < FEWEST_CHARACTERS ? Verdict.PARTLY : Verdict.MET;
  }
}
