package osmerin.app.types;

import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.rounds.BesideArticle;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepGuides;
import osmerin.app.site.SiteContext;

/** How the steps of an article are done here, beside its run-up. */
@Component
class GuidesBeside implements BesideArticle {
  private final StepGuides guides;

  GuidesBeside(StepGuides guides) {
    this.guides = guides;
  }

  @Override
  public void show(SiteContext context, Round round, Model model) {
    model.addAttribute("guides", guides.of(round.typeId()));
  }
}
