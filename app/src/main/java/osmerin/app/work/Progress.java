package osmerin.app.work;

/** Told how far long work is; throws {@link WorkStoppedException} when somebody stopped it. */
public interface Progress {
  /** Of work that nobody watches. */
  Progress UNWATCHED = (step, done, total) -> {};

  /**
   * Says what is being done.
   *
   * @param done of {@code total}; 0 of 0 where nothing is counted
   */
  void at(String step, long done, long total);

  default void at(String step) {
    at(step, 0, 0);
  }
}
