package osmerin.app.demo;

import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.follows.Follows;
import osmerin.app.holds.Holds;
import osmerin.app.people.Naming;
import osmerin.app.people.PeopleEdits;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.RecipeForm;
import osmerin.app.steps.StepEdits;
import osmerin.core.runup.Completion;
import osmerin.core.runup.RecipeRow;
import osmerin.core.runup.StepRole;

/** What is special about one article: a step of its own, a second writer, what it waits for. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoSteps {
  private final ArticleService articles;
  private final StepEdits steps;
  private final PeopleEdits people;
  private final Follows follows;
  private final Holds holds;

  DemoSteps(
      ArticleService articles, StepEdits steps, PeopleEdits people, Follows follows, Holds holds) {
    this.articles = articles;
    this.steps = steps;
    this.people = people;
    this.follows = follows;
    this.holds = holds;
  }

  /**
   * A drawing and a quote that only this article needs, and an edit that was promised for too early
   * a day.
   */
  void addOwnSteps(DemoSite in, String title) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    PlannedRound planned = open(editor, title);
    List<RecipeForm.Row> rows = new ArrayList<>();
    for (RecipeForm.Row row : RecipeForm.ofArticle(planned.steps(), editor.today()).rows()) {
      boolean edit = row.recipe().key().equals("edit");
      rows.add(edit ? new RecipeForm.Row(row.recipe(), "", tooEarly(planned)) : row);
    }
    RecipeRow drawing =
        new RecipeRow(
            "",
            "Draw the kiln loading",
            "illustrator",
            "3",
            "2 days",
            "gather sources",
            Completion.HAND);
    rows.add(4, new RecipeForm.Row(drawing, in.people().get(DemoRecipes.DRAWS).toString(), ""));
    RecipeRow quotes =
        new RecipeRow(
            "",
            "Say what a worn element does",
            "technician",
            "1",
            "2 days",
            "gather sources",
            Completion.HAND);
    rows.add(5, new RecipeForm.Row(quotes, "", ""));
    int number = planned.round().article().number();
    steps.change(editor, number, new RecipeForm(rows), steps.seen(planned.round()));
  }

  private PlannedRound open(SiteContext context, String title) {
    return articles.open(context).stream()
        .filter(p -> p.round().title().equals(title))
        .findFirst()
        .orElseThrow();
  }

  void hold(DemoSite in, String title, String reason) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    int number = open(editor, title).round().article().number();
    long freeBy = in.people().get(DemoArticles.STRATEGIST);
    holds.hold(editor, number, reason, freeBy, in.month().today().plusDays(12));
  }

  private static String tooEarly(PlannedRound planned) {
    return planned.plan().steps().stream()
        .filter(step -> step.step().key().equals("edit"))
        .map(step -> step.earliestEnd().minusDays(1).toString())
        .findFirst()
        .orElseThrow();
  }

  /** One goes live a while after another. */
  void addFollower(DemoSite in, String title, String other) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    Round first = open(editor, other).round();
    int number = open(editor, title).round().article().number();
    follows.set(editor, number, "the second Thursday after " + first.reference(), true);
  }

  /** Two write one piece. */
  void addSecondWriter(DemoSite in, String title) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    int number = open(editor, title).round().article().number();
    long person = in.people().get(DemoRecipes.PART_TIME);
    people.name(editor, number, new Naming(StepRole.WRITER, 1, null, person));
  }
}
