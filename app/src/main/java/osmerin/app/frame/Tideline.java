package osmerin.app.frame;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import osmerin.app.plan.Month;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.StandingWords;

/**
 * The month as a strip: a tick a day, a mark for each article, a rule for today. Lengths are in the
 * units of its SVG.
 */
public record Tideline(
    Month month, List<Tick> ticks, List<Mark> marks, double todayX, double width) {
  static final double DAY = 17;
  private static final double LEFT = 10;
  private static final double MARK_Y = 25;
  private static final double STACK = 9;

  /** So many marks stand above each other; further ones stand beside the last. */
  private static final int STACKED = 3;

  /** A day; {@code weekStart} is longer. */
  public record Tick(double x, boolean weekStart) {}

  /**
   * An article on its day.
   *
   * @param tone as {@link StandingWords#tone}; a live one is solid
   */
  public record Mark(
      double x,
      double y,
      boolean refresh,
      boolean live,
      String tone,
      String title,
      String reference) {}

  static Tideline of(Month month) {
    YearMonth days = month.month();
    List<Tick> ticks = new ArrayList<>();
    for (int day = 1; day <= days.lengthOfMonth(); day++) {
      ticks.add(new Tick(x(day), days.atDay(day).getDayOfWeek() == DayOfWeek.MONDAY));
    }
    Map<LocalDate, Integer> stacked = new HashMap<>();
    List<Mark> marks = new ArrayList<>();
    for (PlannedRound planned : month.rounds()) {
      LocalDate day = planned.round().day();
      int below = stacked.merge(day, 1, Integer::sum) - 1;
      double y = MARK_Y - Math.min(below, STACKED - 1) * STACK;
      double aside = below < STACKED ? 0 : (below - STACKED + 1) * 4;
      marks.add(mark(planned, x(day.getDayOfMonth()) + aside, y));
    }
    double today = month.isNow() ? x(month.today().getDayOfMonth()) - DAY / 2 : -1;
    return new Tideline(month, ticks, marks, today, LEFT * 2 + DAY * days.lengthOfMonth());
  }

  private static Mark mark(PlannedRound planned, double x, double y) {
    var round = planned.round();
    String title = round.reference() + " " + round.title() + ", " + StandingWords.sentence(planned);
    return new Mark(
        x,
        y,
        round.isRefresh(),
        round.isLive(),
        StandingWords.tone(planned),
        title,
        round.reference());
  }

  private static double x(int dayOfMonth) {
    return LEFT + DAY * (dayOfMonth - 0.5);
  }
}
