package osmerin.app.demo;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.absences.AbsenceEdits;
import osmerin.app.absences.HourEdits;
import osmerin.app.checklists.ChecklistEdits;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.SiteContext;
import osmerin.app.types.GuideEdits;
import osmerin.app.types.RoleEdits;
import osmerin.app.types.TypeEdits;
import osmerin.app.workdays.Absence;
import osmerin.core.article.Kind;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.StepRole;

/** The sites' own types and roles, what must be right before a guide goes live, and who is away. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoRecipes {
  static final String OWNER = "Anselm Mura";
  static final String DRAWS = "Mirela Voss";
  static final String PART_TIME = "Ravi Lindqvist";

  private final TypeEdits types;
  private final RoleEdits roleEdits;
  private final GuideEdits guides;
  private final StepRoles roles;
  private final AbsenceEdits absences;
  private final HourEdits hours;
  private final ChecklistEdits checklists;
  private final ArticleTypeService allTypes;

  DemoRecipes(
      TypeEdits types,
      RoleEdits roleEdits,
      GuideEdits guides,
      StepRoles roles,
      AbsenceEdits absences,
      HourEdits hours,
      ChecklistEdits checklists,
      ArticleTypeService allTypes) {
    this.types = types;
    this.roleEdits = roleEdits;
    this.guides = guides;
    this.roles = roles;
    this.absences = absences;
    this.hours = hours;
    this.checklists = checklists;
    this.allTypes = allTypes;
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
}
