package osmerin.app.runups;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The steps of rounds. */
@Service
public class Steps {
  private final StepMapper steps;

  Steps(StepMapper steps) {
    this.steps = steps;
  }

  /** In the order of the rounds' ids and of their run-ups. */
  public List<StepRow> of(List<Long> roundIds) {
    return roundIds.isEmpty() ? List.of() : steps.of(roundIds);
  }

  /** Gives a round that begins the steps of its type as they are today. */
  public void begin(long roundId, long typeId) {
    steps.begin(roundId, typeId);
  }

  /**
   * Ticks a step off.
   *
   * @param due the due date it had
   * @return whether it was open
   */
  public boolean tick(
      long roundId, String key, LocalDate day, @Nullable Long personId, @Nullable LocalDate due) {
    return steps.tick(roundId, key, day, personId, due) == 1;
  }

  /** Takes a tick away; whether there was one. */
  public boolean untick(long roundId, String key) {
    return steps.untick(roundId, key) == 1;
  }

  /** Takes the steps of a round away, which is then removed. */
  public void remove(long roundId) {
    steps.remove(roundId);
  }

  /** Gives a round other steps, or the same ones planned otherwise; all that is kept of them. */
  public void put(long roundId, List<StepState> states) {
    steps.removeBut(roundId, states.stream().map(StepState::key).toList());
    if (!states.isEmpty()) {
      steps.put(roundId, states);
    }
  }

  /** The recipe that a round has its steps from. */
  public RoundRecipe recipe(long roundId) {
    return steps.recipes(List.of(roundId)).get(0);
  }

  /** The same for several rounds. */
  public List<RoundRecipe> recipes(List<Long> roundIds) {
    return roundIds.isEmpty() ? List.of() : steps.recipes(roundIds);
  }

  /** Sets the recipe that a round has its steps from; the steps are put apart. */
  public void setRecipe(RoundRecipe recipe) {
    steps.setRecipe(recipe);
  }

  /** Nobody else changes the steps of the round until the transaction ends. */
  public void lock(long roundId) {
    steps.lock(roundId);
  }

  /** The same for all rounds of a type that are not live. */
  public void lockOfType(long typeId) {
    steps.lockOfType(typeId);
  }

  /** The same as {@link #states}; nobody else changes them until the transaction ends. */
  public List<StepState> locked(long roundId) {
    lock(roundId);
    return states(roundId);
  }

  /** All that is kept of the steps of a round, in their order. */
  public List<StepState> states(long roundId) {
    return of(List.of(roundId)).stream().map(StepRow::state).toList();
  }

  /** Says what a done step took; whether it was done and stood at {@code from}. */
  public boolean setHours(long roundId, String key, @Nullable Double from, @Nullable Double to) {
    return steps.setHours(roundId, key, from, to) == 1;
  }

  /** Steps of which somebody said what they took, done on a day or later, by type and order. */
  public List<MeasuredStep> measured(long siteId, LocalDate since) {
    return steps.measured(siteId, since);
  }
}
