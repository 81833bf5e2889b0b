package osmerin.app.worth;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.worth.Effort;

/** What a person typed about the siteStrength, as they typed it. */
record StrengthForm(
    @Nullable String strength,
    @Nullable String awareness,
    @Nullable String consideration,
    @Nullable String decision,
    @Nullable String wordsAnHour) {

  static StrengthForm of(SiteStrength siteStrength) {
    return new StrengthForm(
        siteStrength.said() == null ? null : String.valueOf(siteStrength.said()),
        text(siteStrength.awareness()),
        text(siteStrength.consideration()),
        text(siteStrength.decision()),
        String.valueOf(Math.round(siteStrength.effort().wordsAnHour())));
  }

  private static @Nullable String text(@Nullable BigDecimal value) {
    return value == null ? null : value.toPlainString();
  }

  /**
   * What it says.
   *
   * @throws RefusedException when something is not a number; the message names it
   */
  StrengthSettings settings() {
    Integer words = whole(wordsAnHour, "no number of words an hour, such as 250");
    return new StrengthSettings(
        whole(strength, "no strength. It is a whole number from 0 to 100"),
        number(awareness),
        number(consideration),
        number(decision),
        words == null ? Effort.SHIPPED_WORDS_AN_HOUR : words);
  }

  private static @Nullable Integer whole(@Nullable String typed, String fault) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    if (!typed.strip().matches("-?\\d{1,9}")) {
      throw new RefusedException("“" + typed.strip() + "” is " + fault + ".");
    }
    return Integer.valueOf(typed.strip());
  }

  private static @Nullable BigDecimal number(@Nullable String typed) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    String plain = typed.strip().replace(',', '.');
    if (!plain.matches("-?\\d{1,9}(\\.\\d{1,9})?")) {
      throw new RefusedException(
          "“" + typed.strip() + "” is not a value of a visit, such as 0.40.");
    }
    return new BigDecimal(plain);
  }
}
