package osmerin.app.articles;

import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.RunUpDrawing;
import osmerin.app.runups.StepRow;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/**
 * An article as its page shows it.
 *
 * @param planned the round that is shown
 * @param rounds all rounds, the first first
 * @param moves of all rounds, the latest first
 * @param differences of its steps from those of its type, in words; empty for none
 */
public record ArticlePage(
    PlannedRound planned,
    List<Round> rounds,
    List<Move> moves,
    List<String> differences,
    RunUpDrawing drawing) {
  /** A move from stage to stage, who made it and when; the first has none to come from. */
  public record Move(
      int ordinal, @Nullable String fromStage, String toStage, String person, Instant at) {}

  public Round round() {
    return planned.round();
  }

  /** Names of the steps that a step waits for; empty when it waits for none. */
  public String waitsFor(StepRow step) {
    return planned.steps().stream()
        .filter(other -> step.after().contains(other.key()))
        .map(StepRow::name)
        .collect(Collectors.joining(", "));
  }

  /** The roles that somebody can be named for: the shipped ones and those of its steps. */
  public Set<StepRole> roles() {
    Set<StepRole> roles = new LinkedHashSet<>(StepRole.SHIPPED);
    planned.steps().forEach(step -> roles.add(step.role()));
    roles.addAll(round().article().people().keySet());
    return roles;
  }

  /** A step's row of the drawing, in words. */
  public String words(int index) {
    PlannedStep step = planned.plan().steps().get(index);
    if (step.done()) {
      return step.step().name() + ": done";
    }
    String work = "%s to %s".formatted(In.day(step.earliestStart()), In.day(step.earliestEnd()));
    String due = step.due() == null ? "no due date" : "due " + In.day(step.due());
    String last = step.latestEnd() == null ? "" : ", last possible day " + In.day(step.latestEnd());
    return "%s: %s at the earliest, %s%s%s"
        .formatted(
            step.step().name(),
            work,
            due,
            last,
            step.pinConflict() ? ", which clashes with the plan" : "");
  }

  /** Pinned days that clash with the plan, a sentence for each. */
  public List<String> clashes() {
    return planned.plan().steps().stream()
        .filter(PlannedStep::pinConflict)
        .map(ArticlePage::clash)
        .toList();
  }

  private static String clash(PlannedStep step) {
    boolean early = step.due().isBefore(step.earliestEnd());
    return "“%s” is to be done by %s, but %s %s."
        .formatted(
            step.step().name(),
            In.day(step.due()),
            early ? "can't be before" : "must be by",
            In.day(early ? step.earliestEnd() : step.latestEnd()));
  }

  /** How far the follow-ups are, in a sentence; null when there are none. */
  public @Nullable String followUps() {
    long all = planned.steps().stream().filter(StepRow::followUp).count();
    long open = planned.steps().stream().filter(s -> s.followUp() && s.doneOn() == null).count();
    if (all == 0) {
      return null;
    }
    return open == 0
        ? "All follow-ups are done."
        : "%s of %s to do.".formatted(open, Counted.of(all, "follow-up"));
  }
}
