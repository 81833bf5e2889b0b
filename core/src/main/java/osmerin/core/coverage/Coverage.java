package osmerin.core.coverage;

import java.util.Collection;
import osmerin.core.article.Phase;

/** How far a keyword group is answered. */
public enum Coverage {
  /** No article answers it. */
  OPEN,
  /** An article that answers it is in work, none is live. */
  IN_WORK,
  /** An article that answers it is live, whether or not it is being refreshed. */
  LIVE;

  /**
   * An article of the group that is not archived.
   *
   * @param phase of its latest round
   * @param wentLive whether any round of it went live
   */
  public record Answer(Phase phase, boolean wentLive) {
    /** A retired article answers nothing any more. */
    boolean counts() {
      return phase != Phase.ENDED;
    }
  }

  /** What the articles of a group make of it. */
  public static Coverage of(Collection<Answer> answers) {
    if (answers.stream().anyMatch(answer -> answer.counts() && answer.wentLive())) {
      return LIVE;
    }
    return answers.stream().anyMatch(Answer::counts) ? IN_WORK : OPEN;
  }

  /** Whether an article answers it, live or in work. */
  public boolean isAnswered() {
    return this != OPEN;
  }
}
