package osmerin.app.briefs;

import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.text.Counted;

/** How much a brief takes; what is too much is refused with what and where. */
final class BriefLimits {
  static final int LONGEST_KEYWORD = 200;
  static final int MOST_KEYWORDS = 500;
  static final int LONGEST_HEADING = 300;
  static final int LONGEST_NOTE = 1_000;
  private static final int LONGEST_ID = 40;

  private BriefLimits() {}

  static void check(BriefContent brief) {
    refuse(
        brief.workingTitle().length() > TitleBench.LONGEST,
        "The working title",
        TitleBench.LONGEST);
    refuse(
        brief.primaryKeyword().length() > LONGEST_KEYWORD, "The primary keyword", LONGEST_KEYWORD);
    refuse(
        brief.secondary().stream().anyMatch(k -> k.length() > LONGEST_KEYWORD),
        "A secondary keyword",
        LONGEST_KEYWORD);
    if (brief.secondary().size() > MOST_KEYWORDS) {
      throw new RefusedException("A brief has at most %s keywords.".formatted(MOST_KEYWORDS));
    }
    for (BriefPart part : BriefPart.values()) {
      refuse(
          brief.text(part).length() > Brief.LONGEST_TEXT,
          "“" + part.label() + "”",
          Brief.LONGEST_TEXT);
    }
    check(brief.outline().sections().size());
    for (Outline.Section section : brief.outline().sections()) {
      if (!isPlain(section.id() + section.heading() + section.note())) {
        throw new RefusedException("A section has characters that no page can show.");
      }
      refuse(section.id().length() > LONGEST_ID, "The name of a section", LONGEST_ID);
      refuse(section.heading().length() > LONGEST_HEADING, "A heading", LONGEST_HEADING);
      refuse(
          section.note().length() > LONGEST_NOTE,
          "The note of “" + section.heading() + "”",
          LONGEST_NOTE);
    }
  }

  /** Escapes in JSON bring what no form sends: control characters, halves of characters. */
  private static boolean isPlain(String text) {
    return text.codePoints()
        .noneMatch(c -> Character.isISOControl(c) || Character.getType(c) == Character.SURROGATE);
  }

  static void check(int sections) {
    if (sections > Outline.MOST_SECTIONS) {
      throw new RefusedException("An outline has at most " + Outline.MOST_SECTIONS + " sections.");
    }
  }

  /**
   * The words of a section as they are typed; null for none.
   *
   * @throws RefusedException when they are no number
   */
  static @Nullable Integer words(String typed) {
    String digits = typed.strip().replace(",", "");
    if (digits.isEmpty()) {
      return null;
    }
    if (!digits.matches("\\d{1,6}") || Integer.parseInt(digits) > Outline.MOST_WORDS) {
      throw new RefusedException(
          "“%s” is not a number of words. Type one such as 250, or nothing."
              .formatted(typed.strip()));
    }
    return Integer.valueOf(digits);
  }

  private static void refuse(boolean tooLong, String what, int longest) {
    if (tooLong) {
      throw new RefusedException(
          "%s has more than %s characters.".formatted(what, Counted.of(longest)));
    }
  }
}
