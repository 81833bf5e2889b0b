package osmerin.core.article;

import java.util.List;
import java.util.Optional;

/** The stages of an article, in their order, as shipped. */
public enum Stage {
  COMMISSIONED("Commissioned", Phase.TO_COME),
  BRIEFED("Briefed", Phase.IN_HAND),
  DRAFTING("Drafting", Phase.IN_HAND),
  EDITING("Editing", Phase.IN_HAND),
  READY("Ready", Phase.SET),
  LIVE("Live", Phase.LIVE),
  RETIRED("Retired", Phase.ENDED);

  /** The stages through which a person moves an article; it goes live by being published. */
  public static final List<Stage> IN_WORK =
      List.of(COMMISSIONED, BRIEFED, DRAFTING, EDITING, READY);

  private final String label;
  private final Phase phase;

  Stage(String label, Phase phase) {
    this.label = label;
    this.phase = phase;
  }

  /** The name people see. */
  public String label() {
    return label;
  }

  public Phase phase() {
    return phase;
  }

  /** The next stage a person can move to by hand; empty from Ready on. */
  public Optional<Stage> next() {
    return beside(1);
  }

  /** The stage before, while the article is in work. */
  public Optional<Stage> previous() {
    return beside(-1);
  }

  private Optional<Stage> beside(int step) {
    int at = IN_WORK.indexOf(this) + step;
    return IN_WORK.contains(this) && at >= 0 && at < IN_WORK.size()
        ? Optional.of(IN_WORK.get(at))
        : Optional.empty();
  }
}
