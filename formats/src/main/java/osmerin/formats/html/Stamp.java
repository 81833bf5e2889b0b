package osmerin.formats.html;

import java.util.regex.Pattern;
import osmerin.core.text.Words;

/** Lines that say who wrote something and when: "Petra, 12 January at 9:14". */
final class Stamp {
  private static final int LONGEST = 18;

  /** Words of a name, a place, a trade. */
  private static final int MOST_OTHER = 6;

  private static final String MONTH =
      "(?:jan|feb|mar|apr|may|jun|jul|aug|sep|sept|oct|nov|dec|january|february|march|april|june"
          + "|july|august|september|october|november|december)\\.?";

  private static final Pattern WHEN =
      Pattern.compile(
          "\\b\\d{1,2}(?:st|nd|rd|th|\\.)? "
              + MONTH
              + "(?: \\d{4})?\\b|\\b"
              + MONTH
              + " \\d{1,2}(?:st|nd|rd|th)?\\b(?:,? \\d{4})?|\\b"
              + MONTH
              + " \\d{4}\\b|\\b\\d{4}-\\d{2}-\\d{2}\\b|\\b(?:0?[1-9]|[12]\\d|3[01])[./](?:0?[1-9]|[12]\\d|3[01])[./](?:\\d{2}|\\d{4})\\b"
              + "|\\b\\d{1,2}:\\d{2}\\b(?: ?[ap]m)?"
              + "|\\b(?:\\d{1,3}|an?) (?:second|minute|min|hour|day|week|month|year)s? ago\\b"
              + "|\\b(?:yesterday|(?:on )?(?:mon|tues|wednes|thurs|fri|satur|sun)day)\\b",
          Pattern.CASE_INSENSITIVE);

  /** What such lines say beside names and times. */
  private static final Pattern SAYING =
      Pattern.compile(
          "\\b(?:by|words|text|story|photos?|pictures|posted|published|updated|reviewed|edited|written"
              + "|wrote|says|said|asked|answered|replied|commented|joined|posts?|member|since|points?|at"
              + "|on|in|am|pm|reading time|min(?:ute)?s?(?: read)?|read|comments?|share|print|mail|likes?"
              + "|reply|not verified|»)\\b",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern WRITER =
      Pattern.compile(
          "^.{1,60}\\b(?:says|wrote|writes|said)(?: on .{1,40})?:$|\\bjoined:? .{1,20}\\bposts:? \\d"
              + "|\\b(?:asked|answered|replied|commented)\\b.{0,40}\\bago\\b",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern READING =
      Pattern.compile(
          "\\b\\d{1,2} ?(?:min|minutes?)(?:[ -]read)?$|\\breading time\\b",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern BY =
      Pattern.compile(
          "^(?:by|words|text|story|posted by|written by|reviewed by|author)\\b:? (?:by )?(?-i:\\p{Lu})",
          Pattern.CASE_INSENSITIVE);

  private Stamp() {}

  /** Whether a line names who wrote one of several contributions, perhaps with its time. */
  static boolean isOfContribution(String text) {
    return isShort(text)
        && (WRITER.matcher(text).find()
            || WHEN.matcher(text).find() && others(text) > 0 && isLittleElse(text));
  }

  /** Whether a line is a time and nothing else. */
  static boolean isTime(String text) {
    return isShort(text) && WHEN.matcher(text).find() && others(text) == 0;
  }

  /** Whether a line below a title says who wrote what follows, when, or how long it takes. */
  static boolean isByline(String text) {
    return isShort(text)
        && !text.endsWith(".")
        && isLittleElse(text)
        && (WHEN.matcher(text).find() || READING.matcher(text).find() || BY.matcher(text).find());
  }

  private static boolean isShort(String text) {
    return text.length() <= 200 && Words.count(text) <= LONGEST;
  }

  private static boolean isLittleElse(String text) {
    return !text.endsWith("?") && others(text) <= MOST_OTHER;
  }

  /** Neither a number nor a version. */
  private static boolean isSpelled(String word) {
    return Character.isLetter(word.codePointAt(0));
  }

  /** Words beside times and what such lines say, as names are. */
  private static long others(String text) {
    String rest = SAYING.matcher(WHEN.matcher(text).replaceAll(" ")).replaceAll(" ");
    return Words.lower(rest).stream().filter(Stamp::isSpelled).count();
  }
}
