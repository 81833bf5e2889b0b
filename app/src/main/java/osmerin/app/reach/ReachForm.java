package osmerin.app.reach;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.reach.ReachService.Settings;

/** What a person typed about the reach, as they typed it. */
record ReachForm(
    @Nullable String strength,
    @Nullable String awareness,
    @Nullable String consideration,
    @Nullable String decision) {

  static ReachForm of(Reach reach) {
    return new ReachForm(
        String.valueOf(reach.strength()),
        text(reach.awareness()),
        text(reach.consideration()),
        text(reach.decision()));
  }

  private static @Nullable String text(@Nullable BigDecimal value) {
    return value == null ? null : value.toPlainString();
  }

  /**
   * What it says.
   *
   * @throws RefusedException when something is no number; the message names it
   */
  Settings settings() {
    String typed = strength == null ? "" : strength.strip();
    if (!typed.matches("-?\\d{1,9}")) {
      throw new RefusedException(
          "“" + typed + "” is no strength. It is a whole number from 0 to 100.");
    }
    return new Settings(
        Integer.parseInt(typed), number(awareness), number(consideration), number(decision));
  }

  private static @Nullable BigDecimal number(@Nullable String typed) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    String plain = typed.strip().replace(',', '.');
    if (!plain.matches("-?\\d{1,9}(\\.\\d{1,9})?")) {
      throw new RefusedException("“" + typed.strip() + "” is no value of a visit, such as 0.40.");
    }
    return new BigDecimal(plain);
  }
}
