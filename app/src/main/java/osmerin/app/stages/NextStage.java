package osmerin.app.stages;

import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.OnEntering;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StageList;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stages;

/** Says beside the move to the next stage what happens by it. */
@Component
class NextStage implements BesideArticle {
  private final StageList stages;
  private final OnEntering entering;

  NextStage(StageList stages, OnEntering entering) {
    this.stages = stages;
    this.entering = entering;
  }

  @Override
  public void show(SiteContext context, Round round, Model model) {
    Stages all = stages.of(context.siteId());
    all.next(round.stage())
        .filter(next -> round.latest())
        .ifPresent(
            next ->
                model.addAttribute(
                    "moveSays", String.join(" · ", entering.previewed(context, round, all, next))));
  }
}
