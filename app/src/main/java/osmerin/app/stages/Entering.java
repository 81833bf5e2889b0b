package osmerin.app.stages;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.history.Change;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.OnEntering;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRoles;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.steps.StepEdits;
import osmerin.app.team.TeamService;
import osmerin.core.article.Handoff;
import osmerin.core.article.Stage;
import osmerin.core.article.Stages;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/** Does what a site has set to happen when an article enters a stage, and says it beforehand. */
@Component
class Entering implements OnEntering {
  private final ArticleService articles;
  private final ArticleEdits edits;
  private final StepEdits stepEdits;
  private final Steps steps;
  private final StepRoles roles;
  private final SiteService sites;
  private final TeamService team;
  private final Notices notices;

  Entering(
      ArticleService articles,
      ArticleEdits edits,
      StepEdits stepEdits,
      Steps steps,
      StepRoles roles,
      SiteService sites,
      TeamService team,
      Notices notices) {
    this.articles = articles;
    this.edits = edits;
    this.stepEdits = stepEdits;
    this.steps = steps;
    this.roles = roles;
    this.sites = sites;
    this.team = team;
    this.notices = notices;
  }

  /**
   * What is to happen.
   *
   * @param ticked the step that is done by it, null for none
   * @param added steps that the round does not have yet
   * @param due when the next step of whoever is next is due by it, null for as planned
   * @param told who is next
   */
  private record Happening(
      @Nullable StepRow ticked, List<RunUpStep> added, @Nullable Due due, List<Long> told) {
    boolean changesSteps() {
      return !added.isEmpty() || due != null;
    }
  }

  /** A step, and the day it is pinned to. */
  private record Due(String key, String name, LocalDate day) {}

  private Happening happening(SiteContext context, Round round, Handoff handoff) {
    List<Long> told = told(round, handoff);
    if (!handoff.changesSteps()) {
      return new Happening(null, List.of(), null, told);
    }
    PlannedRound planned = articles.planned(context, round.article().number());
    StepRow ticked =
        planned.steps().stream()
            .filter(row -> row.doneOn() == null && row.name().equalsIgnoreCase(handoff.ticks()))
            .findFirst()
            .orElse(null);
    List<RunUpStep> added = added(context, handoff, planned);
    Due due = due(context, handoff, planned, ticked, added);
    return new Happening(ticked, added, due, told);
  }

  private static List<Long> told(Round round, Handoff handoff) {
    if (handoff.person() != null) {
      return List.of(handoff.person());
    }
    return handoff.role() == null ? List.of() : round.article().people(handoff.role());
  }

  /** Whether a step is that of whoever is next. */
  private static boolean isNext(Handoff handoff, Round round, StepRow step) {
    return handoff.person() != null
        ? round.holders(step).contains(handoff.person())
        : step.role().equals(handoff.role());
  }

  /** Steps come once a round: what has the name or key of one is there already. */
  private List<RunUpStep> added(SiteContext context, Handoff handoff, PlannedRound planned) {
    Set<StepRole> known = roles.set(context.siteId());
    Recipe recipe = Recipe.read(RecipeText.rows(handoff.adds(), known, List.of()), known);
    return recipe.steps().stream()
        .filter(
            step ->
                planned.steps().stream()
                    .noneMatch(
                        row ->
                            row.key().equals(step.key())
                                || row.name().equalsIgnoreCase(step.name())))
        .toList();
  }

  /**
   * The next step of whoever is next: the first in hand, or else the first that is added. One that
   * a person has pinned stays where they did.
   */
  private @Nullable Due due(
      SiteContext context,
      Handoff handoff,
      PlannedRound planned,
      @Nullable StepRow ticked,
      List<RunUpStep> added) {
    Optional<StepRow> row =
        planned.steps().stream()
            .filter(s -> s.doneOn() == null && s != ticked && planned.isInHand(s))
            .filter(s -> isNext(handoff, planned.round(), s))
            .findFirst();
    if (row.isPresent() && row.get().pinned() != null) {
      return null;
    }
    Optional<RunUpStep> step =
        added.stream().filter(s -> s.role().equals(handoff.role())).findFirst();
    LocalDate latest =
        row.map(s -> planned.plan().steps().get(planned.steps().indexOf(s)))
            .map(PlannedStep::due)
            .orElse(planned.round().publishDate());
    LocalDate pin = handoff.pin(context.today(), latest, sites.calendar(context.site()));
    if (pin == null) {
      return null;
    }
    return row.map(s -> new Due(s.key(), s.name(), pin))
        .or(() -> step.map(s -> new Due(s.key(), s.name(), pin)))
        .orElse(null);
  }

  @Override
  public List<Change> entered(SiteContext context, Round round, Stages all, Stage to) {
    Happening happening = happening(context, round, all.handoff(to));
    List<Change> changes = new ArrayList<>();
    if (happening.ticked() != null) {
      changes.addAll(edits.complete(context, round, happening.ticked().key()));
    }
    if (happening.changesSteps()) {
      List<StepState> before = steps.locked(round.id());
      changes.addAll(
          stepEdits.put(round, before, after(before, happening), steps.recipe(round.id())));
    }
    tell(context, round, to, happening);
    return changes;
  }

  private static List<StepState> after(List<StepState> before, Happening happening) {
    List<StepState> after = new ArrayList<>(before);
    happening.added().forEach(step -> after.add(StepState.open(step)));
    Due due = happening.due();
    if (due != null) {
      after.replaceAll(
          state -> state.key().equals(due.key()) ? state.with(state.personId(), due.day()) : state);
    }
    return after;
  }

  private void tell(SiteContext context, Round round, Stage to, Happening happening) {
    Due due = happening.due();
    String when = due == null ? "" : " “%s” is due %s.".formatted(due.name(), In.day(due.day()));
    notices.tell(
        context,
        happening.told(),
        NoticeKind.HANDED_OVER,
        "%s “%s” is at %s and waits for you.%s"
            .formatted(round.reference(), round.title(), to.label(), when),
        context.base() + "/articles/" + round.reference());
  }

  @Override
  public List<String> previewed(SiteContext context, Round round, Stages all, Stage to) {
    Happening happening = happening(context, round, all.handoff(to));
    List<String> said = new ArrayList<>();
    List<Long> others =
        happening.told().stream().filter(person -> person != context.personId()).toList();
    if (!others.isEmpty()) {
      String names = In.people(others, team.names(context.siteId()));
      said.add(names + (others.size() == 1 ? " is told" : " are told"));
    }
    if (happening.ticked() != null) {
      said.add("“%s” is ticked".formatted(happening.ticked().name()));
    }
    if (!happening.added().isEmpty()) {
      String names =
          happening.added().stream().map(RunUpStep::name).collect(Collectors.joining(", "));
      said.add(Counted.of(happening.added().size(), "more step") + ": " + names);
    }
    Due due = happening.due();
    if (due != null) {
      said.add("“%s” due %s".formatted(due.name(), In.day(due.day())));
    }
    return said;
  }
}
