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

  /** Gives a round the steps of another type; what both have keeps its tick. */
  public void retype(long roundId, long typeId) {
    steps.retype(roundId, typeId);
  }
}
