package osmerin.app.demo;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.runups.StageList;
import osmerin.app.site.SiteContext;
import osmerin.app.stages.StageEdits;
import osmerin.app.stages.StageForm;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.article.Stages;

/** The stages of the two blogs, which differ. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoStages {
  private final StageList stages;
  private final StageEdits edits;

  DemoStages(StageList stages, StageEdits edits) {
    this.stages = stages;
    this.edits = edits;
  }

  /** Marlpit has a second look at facts, with a step for it, and edits within three days. */
  void ofMarlpit(DemoSite in) {
    SiteContext owner = in.as(DemoRecipes.OWNER);
    edits.add(owner, "Fact check", Phase.IN_HAND);
    change(
        owner,
        "Fact check",
        new Wanted("Fact check", "strategist", "2", "Check the facts, strategist, 0.5 h"));
    change(owner, "Editing", new Wanted("Editing", "editor", "3", ""));
  }

  /** Sprocket Fen rides a route before it is written down, and says when a piece was shared. */
  void ofSprocketFen(DemoSite in) {
    SiteContext owner = in.as(DemoRecipes.OWNER);
    change(owner, "Briefed", new Wanted("Planned", "rider", "", ""));
    edits.add(owner, "Ridden", Phase.IN_HAND);
    long ridden = stage(owner, "Ridden").id();
    edits.shift(owner, ridden, false);
    edits.shift(owner, ridden, false);
    edits.add(owner, "Shared", Phase.LIVE);
  }

  private record Wanted(String name, String role, String due, String adds) {}

  private void change(SiteContext owner, String stage, Wanted wanted) {
    Stages all = stages.of(owner.siteId());
    Stage its = stage(owner, stage);
    StageForm form =
        new StageForm(
            wanted.name(), its.phase(), wanted.role(), wanted.due(), "", wanted.adds(), "");
    edits.change(owner, its.id(), form, StageEdits.seen(all));
  }

  private Stage stage(SiteContext owner, String name) {
    return stages.of(owner.siteId()).list().stream()
        .filter(stage -> stage.label().equals(name))
        .findFirst()
        .orElseThrow();
  }
}
