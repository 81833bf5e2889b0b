package osmerin.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.absences.AbsenceEdits;
import osmerin.app.absences.HourEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.checklists.ChecklistEdits;
import osmerin.app.follows.Follows;
import osmerin.app.holds.Holds;
import osmerin.app.people.Naming;
import osmerin.app.people.PeopleEdits;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.RecipeForm;
import osmerin.app.steps.StepEdits;
import osmerin.app.types.GuideEdits;
import osmerin.app.types.RoleEdits;
import osmerin.app.types.TypeEdits;
import osmerin.app.workdays.Absence;
import osmerin.core.article.Kind;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.Completion;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeRow;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.StepRole;

/** The sites' own types and roles, an article with a step of its own, and who is away. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoRecipes {
  static final String OWNER = "Anselm Mura";
  private static final String DRAWS = "Mirela Voss";
  private static final String PART_TIME = "Ravi Lindqvist";

  private final TypeEdits types;
  private final RoleEdits roleEdits;
  private final GuideEdits guides;
  private final StepRoles roles;
  private final StepEdits steps;
  private final AbsenceEdits absences;
  private final HourEdits hours;
  private final Follows follows;
  private final ChecklistEdits checklists;
  private final ArticleTypeService allTypes;
  private final PeopleEdits people;
  private final Holds holds;
  private final ArticleService articles;

  DemoRecipes(
      TypeEdits types,
      RoleEdits roleEdits,
      GuideEdits guides,
      StepRoles roles,
      StepEdits steps,
      AbsenceEdits absences,
      HourEdits hours,
      Follows follows,
      ChecklistEdits checklists,
      ArticleTypeService allTypes,
      PeopleEdits people,
      Holds holds,
      ArticleService articles) {
    this.types = types;
    this.roleEdits = roleEdits;
    this.guides = guides;
    this.roles = roles;
    this.steps = steps;
    this.absences = absences;
    this.hours = hours;
    this.follows = follows;
    this.checklists = checklists;
    this.allTypes = allTypes;
    this.people = people;
    this.holds = holds;
    this.articles = articles;
  }

  /** A type that was typed, with the roles it needs. */
  void addType(DemoSite in, String name, String file, String... own) {
    SiteContext owner = in.as(OWNER);
    for (String role : own) {
      roleEdits.add(owner, role);
    }
    Set<StepRole> known = roles.set(owner.siteId());
    Recipe recipe = Recipe.read(RecipeText.rows(DemoText.whole(file), known, List.of()), known);
    types.add(owner, Kind.NEW, name, recipe.steps());
  }

  void writeHowWeEdit(DemoSite in) {
    for (String type : List.of("post", "guide")) {
      guides.write(
          in.as(Marlpit.EDITOR),
          in.typeIds().get(type),
          "edit",
          DemoText.whole("how-we-edit.md"),
          0);
    }
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
    rows.add(4, new RecipeForm.Row(drawing, in.people().get(DRAWS).toString(), ""));
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

  void addAbsences(DemoSite in) {
    LocalDate away = in.month().in(13);
    long draws = in.people().get(DRAWS);
    Absence week = new Absence(0, draws, away, away.plusDays(8), "walking in the hills");
    absences.add(in.as(OWNER), week, true);
    SiteContext owner = in.as(OWNER);
    long partTime = in.people().get(PART_TIME);
    absences.setDays(owner, partTime, List.of(1, 2, 3, 4), true);
    hours.setDay(owner, partTime, "6");
    hours.reserve(owner, in.people().get(Marlpit.EDITOR), 1, "1.5", "weekly meeting");
    hours.reserve(owner, partTime, 3, "2", "the kiln");
  }

  /** What must be right before a guide goes live; one that is set can't at its hour. */
  void addChecklist(DemoSite in) {
    SiteContext owner = in.as(OWNER);
    for (ArticleType type : allTypes.list(owner.siteId(), Kind.NEW)) {
      checklists.set(
          owner,
          type.id(),
          EnumSet.of(OwnCheck.TITLE, OwnCheck.HEADINGS, OwnCheck.PICTURES, OwnCheck.LENGTH),
          DemoText.whole("checklist.txt"),
          ChecklistEdits.seen(List.of()));
    }
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
    long person = in.people().get(PART_TIME);
    people.name(editor, number, new Naming(StepRole.WRITER, 1, null, person));
  }
}
