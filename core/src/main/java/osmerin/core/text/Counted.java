package osmerin.core.text;

import java.util.Locale;

/** Numbers with the thing they count: "1 article", "2,400 articles". */
public final class Counted {
  private Counted() {}

  /** The number alone: "2,400". */
  public static String of(long number) {
    return String.format(Locale.ENGLISH, "%,d", number);
  }

  /** The plural of the thing ends in s. */
  public static String of(long number, String thing) {
    return of(number, thing, thing + "s");
  }

  public static String of(long number, String one, String many) {
    return String.format(Locale.ENGLISH, "%,d %s", number, number == 1 ? one : many);
  }
}
