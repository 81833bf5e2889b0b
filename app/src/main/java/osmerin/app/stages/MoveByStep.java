package osmerin.app.stages;

import java.util.List;
import org.springframework.stereotype.Component;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.rounds.OnTicked;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stage;

/** Moves an article on to the stage that a ticked step leads to. */
@Component
class MoveByStep implements OnTicked {
  private final StageList stages;
  private final StageMoves moves;

  MoveByStep(StageList stages, StageMoves moves) {
    this.stages = stages;
    this.moves = moves;
  }

  /** Only forward, and only whoever may say that an article is set says so by a step. */
  @Override
  public List<Change> ticked(SiteContext context, Round round, StepRow step) {
    return stages
        .of(context.siteId())
        .comingBy(step.name())
        .filter(to -> round.stage().isInWork() && round.stage().isBefore(to))
        .filter(to -> context.may(Right.EDIT) || !touchesSet(round, to))
        .map(to -> moves.stage(context, round, to))
        .orElse(List.of());
  }

  private static boolean touchesSet(Round round, Stage to) {
    return to.isSet() || round.stage().isSet();
  }
}
