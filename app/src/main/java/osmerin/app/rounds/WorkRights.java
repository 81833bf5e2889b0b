package osmerin.app.rounds;

import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** Who may work on an article, which depends on who is named for it. */
public final class WorkRights {
  private WorkRights() {}

  /**
   * Who has no right to edit may work on articles on which they are named.
   *
   * @throws ForbiddenException when the person may not work on this article
   */
  public static void requireWork(SiteContext context, Round round) {
    if (!round.isOf(context.personId()) && !context.may(Right.EDIT)) {
      throw new ForbiddenException(
          "You are not named on %s. Writers work on their own articles; ask an editor."
              .formatted(round.reference()));
    }
  }

  /**
   * A step is ticked by whoever does it, and by editors.
   *
   * @throws ForbiddenException when the person is neither
   */
  public static void requireStep(SiteContext context, Round round, StepRow step) {
    if (!round.holders(step).contains(context.personId())) {
      context.require(Right.EDIT);
    }
  }
}
