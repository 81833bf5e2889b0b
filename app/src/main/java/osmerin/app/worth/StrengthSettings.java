package osmerin.app.worth;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;

/**
 * What a person sets.
 *
 * @param strength null to leave it assumed
 */
public record StrengthSettings(
    @Nullable Integer strength,
    @Nullable BigDecimal awareness,
    @Nullable BigDecimal consideration,
    @Nullable BigDecimal decision,
    int wordsAnHour) {
  static final String STRENGTH = "Site strength";
  static final String AWARENESS = "Value of a visit, awareness";
  static final String CONSIDERATION = "Value of a visit, consideration";
  static final String DECISION = "Value of a visit, decision";
  static final String WORDS = "Words an hour";

  /** Values have two places, as they are stored. */
  public StrengthSettings {
    awareness = cents(awareness);
    consideration = cents(consideration);
    decision = cents(decision);
  }

  StrengthSettings with(String field, @Nullable BigDecimal value) {
    return new StrengthSettings(
        field.equals(STRENGTH) ? whole(value) : strength,
        field.equals(AWARENESS) ? value : awareness,
        field.equals(CONSIDERATION) ? value : consideration,
        field.equals(DECISION) ? value : decision,
        field.equals(WORDS) && value != null ? value.intValue() : wordsAnHour);
  }

  private static @Nullable Integer whole(@Nullable BigDecimal value) {
    return value == null ? null : value.intValue();
  }

  private static @Nullable BigDecimal cents(@Nullable BigDecimal value) {
    return value == null ? null : value.setScale(2, RoundingMode.HALF_UP);
  }

  String words() {
    return "strength %s; a visit is worth %s, %s, %s; %s words an hour"
        .formatted(
            strength == null ? "not set" : strength,
            shown(awareness),
            shown(consideration),
            shown(decision),
            wordsAnHour);
  }

  private static String shown(@Nullable BigDecimal value) {
    return value == null ? "unknown" : value.toPlainString();
  }
}
