package osmerin.app.desk;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Entry;
import osmerin.app.plan.Month;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.core.pace.Pace;

/**
 * What a person's desk shows.
 *
 * @param today steps due today or late, the earliest due first
 * @param next the first steps due after today
 * @param nobodys steps that can start and nobody is named for, the earliest due first
 * @param waiting what others wait for
 * @param onHold articles on hold that concern the person, the oldest first
 * @param leftOff articles the person worked on last, the latest first
 * @param daysLeft working days of the month from today on
 * @param news what others did since yesterday, the latest first
 */
public record Desk(
    List<DeskStep> today,
    List<DeskStep> next,
    List<DeskStep> nobodys,
    List<Waiting> waiting,
    List<PlannedRound> onHold,
    List<Round> leftOff,
    Month month,
    int daysLeft,
    List<Entry> news) {

  /**
   * A step of the person.
   *
   * @param waitsFor names of the steps that must be done before; empty when it can start
   */
  public record DeskStep(
      Round round,
      String key,
      String name,
      double hours,
      LocalDate due,
      boolean late,
      String waitsFor) {
    public boolean canStart() {
      return waitsFor.isEmpty();
    }
  }

  /** What is asked of a person. */
  public enum Ask {
    PUBLISH("Publish"),
    STILL_HELD("Still on hold?"),
    SIGN_OFF("Sign off the brief"),
    REVIEW("Review"),
    COMMISSION("Commission");

    private final String label;

    Ask(String label) {
      this.label = label;
    }

    /** The words people see. */
    public String label() {
      return label;
    }
  }

  /**
   * Something that waits for the person.
   *
   * @param round it is about, null for pitches
   * @param beside a few words more, null for none
   */
  public record Waiting(
      Ask ask,
      @Nullable Round round,
      String title,
      String path,
      @Nullable String beside,
      boolean alarming) {
    Waiting with(@Nullable String words, boolean asAlarm) {
      return new Waiting(ask, round, title, path, words, asAlarm);
    }

    /** What is asked of them: "Review". */
    public String what() {
      return ask.label();
    }
  }

  /** "4 of 7 new and 3 of 5 refreshed are live". */
  public String monthWords() {
    return part(month.newArticles(), "new")
        + " and "
        + part(month.refreshes(), "refreshed")
        + " are live";
  }

  private static String part(Pace pace, String kind) {
    return pace.done() + (pace.target() > 0 ? " of " + pace.target() : "") + " " + kind;
  }

  /** Hours of the steps that can start. */
  public double hours() {
    return today.stream().filter(DeskStep::canStart).mapToDouble(DeskStep::hours).sum();
  }

  public long late() {
    return today.stream().filter(DeskStep::late).count();
  }
}
