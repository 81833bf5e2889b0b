package osmerin.core.article;

/**
 * One stage of the work, as a site has it.
 *
 * @param id by which articles and history name it; its name may change
 * @param label the name people see
 * @param place from 0, in the order articles go through the stages
 */
public record Stage(long id, String label, Phase phase, int place) {
  /** Whether it is the same stage, whatever it was called when it was read. */
  public boolean is(Stage other) {
    return id == other.id;
  }

  public boolean isBefore(Stage other) {
    return place < other.place;
  }

  /** Whether nothing is left to do at it but to wait for the hour. */
  public boolean isSet() {
    return phase == Phase.SET;
  }

  /** Whether people move articles through it by hand; live it is reached by publishing. */
  public boolean isInWork() {
    return phase.isInWork();
  }
}
