package osmerin.app.steps;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRoles;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;
import osmerin.core.workday.DayText;

/** Changes the steps of one article; its type is untouched. */
@Service
public class StepEdits implements RoundReversal {
  private static final String STEPS = "Steps";

  private final ArticleService articles;
  private final Steps steps;
  private final StepRoles roles;
  private final TeamService team;
  private final History history;
  private final Notices notices;

  StepEdits(
      ArticleService articles,
      Steps steps,
      StepRoles roles,
      TeamService team,
      History history,
      Notices notices) {
    this.articles = articles;
    this.steps = steps;
    this.roles = roles;
    this.team = team;
    this.history = history;
    this.notices = notices;
  }

  /** A sign by which it is known whether the steps of a round are still the same. */
  public String seen(Round round) {
    return Integer.toHexString(
        steps.states(round.id()).stream()
            .map(s -> List.of(s.step(), text(s.personId()), text(s.pinned())))
            .toList()
            .hashCode());
  }

  private static String text(@Nullable Object value) {
    return value == null ? "" : value.toString();
  }

  /**
   * Gives an article other steps. What is done stays done and stays there.
   *
   * @param seen the sign of the steps that were changed
   * @return by the place of the row what is wrong with it; empty when it was done
   */
  @Transactional
  public Map<Integer, String> change(
      SiteContext context, int number, RecipeForm form, String seen) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    if (round.isLive() && !round.latest()) {
      throw new RefusedException("The steps of a round that is over stay as they are.");
    }
    List<StepState> before = steps.states(round.id());
    Map<Integer, String> faults = new LinkedHashMap<>();
    Optional<List<StepState>> wanted = read(context, form, before, faults);
    if (wanted.isEmpty()) {
      return faults;
    }
    refuseToDropDone(before, wanted.get());
    if (!seen(round).equals(seen)) {
      throw new ConflictException(
          round.reference(),
          STEPS,
          names(before),
          names(wanted.get()),
          history.lastBy(context, Thing.ARTICLE, number, STEPS),
          Map.of("seen", seen(round)));
    }
    List<Change> changes = put(round, before, wanted.get(), steps.recipe(round.id()));
    if (!changes.isEmpty()) {
      history.note(
          context,
          Right.EDIT,
          "The steps of %s were changed.".formatted(round.reference()),
          changes);
      tellNamed(context, round, before, wanted.get());
    }
    return faults;
  }

  /** What the form says; empty when a row is at fault. */
  private Optional<List<StepState>> read(
      SiteContext context, RecipeForm form, List<StepState> before, Map<Integer, String> faults) {
    Set<StepRole> known = new HashSet<>(roles.set(context.siteId()));
    before.forEach(state -> known.add(state.step().role()));
    Recipe recipe = Recipe.read(form.recipe(), known);
    faults.putAll(recipe.faults());
    Map<String, StepState> byKey = byKey(before);
    Set<Long> people = team.names(context.siteId()).keySet();
    List<StepState> states = new ArrayList<>();
    for (int i = 0; i < form.rows().size() && recipe.isSound(); i++) {
      RecipeForm.Row row = form.rows().get(i);
      RunUpStep step = recipe.steps().get(i);
      Optional<LocalDate> pin = DayText.read(row.pin(), context.today());
      Long person = row.person().matches("\\d{1,18}") ? Long.valueOf(row.person()) : null;
      if (!row.pin().isBlank() && pin.isEmpty()) {
        faults.put(i, DayText.HINT);
      } else if (person != null && !people.contains(person)) {
        faults.put(i, "That person is not on this site.");
      }
      states.add(
          byKey
              .getOrDefault(step.key(), StepState.open(step))
              .with(step)
              .with(person, pin.orElse(null)));
    }
    return faults.isEmpty() ? Optional.of(states) : Optional.empty();
  }

  private static void refuseToDropDone(List<StepState> before, List<StepState> wanted) {
    Map<String, StepState> byKey = byKey(wanted);
    before.stream()
        .filter(state -> state.isDone() && !byKey.containsKey(state.step().key()))
        .findFirst()
        .ifPresent(
            state -> {
              throw new RefusedException(
                  "“%s” is done and stays. Take its tick away first."
                      .formatted(state.step().name()));
            });
  }

  private static Map<String, StepState> byKey(List<StepState> states) {
    return states.stream().collect(Collectors.toMap(s -> s.step().key(), Function.identity()));
  }

  /**
   * Puts other steps in the place of a round's, without an entry of its own; none when nothing
   * changes.
   *
   * @param recipe that it has them from then
   */
  public List<Change> put(
      Round round, List<StepState> before, List<StepState> after, RoundRecipe recipe) {
    RoundRecipe had = steps.recipe(round.id());
    if (isPlannedAs(before, after) && had.equals(recipe)) {
      return List.of();
    }
    steps.put(round.id(), after);
    steps.setRecipe(recipe);
    return List.of(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            STEPS,
            Counted.of(before.size(), "step"),
            Counted.of(after.size(), "step"),
            kept(had, before),
            kept(recipe, after)));
  }

  private static KeptSteps kept(RoundRecipe recipe, List<StepState> states) {
    return new KeptSteps(recipe.cushion(), recipe.version(), states);
  }

  private static boolean isPlannedAs(List<StepState> one, List<StepState> other) {
    if (one.size() != other.size()) {
      return false;
    }
    for (int i = 0; i < one.size(); i++) {
      if (!one.get(i).isPlannedAs(other.get(i))) {
        return false;
      }
    }
    return true;
  }

  private void tellNamed(
      SiteContext context, Round round, List<StepState> before, List<StepState> after) {
    Map<String, StepState> byKey = byKey(before);
    for (StepState state : after) {
      StepState was = byKey.get(state.step().key());
      boolean fresh = was == null || !Objects.equals(was.personId(), state.personId());
      if (state.personId() != null && fresh) {
        notices.tell(
            context,
            List.of(state.personId()),
            NoticeKind.NAMED,
            "You do “%s” of %s “%s”."
                .formatted(state.step().name(), round.reference(), round.title()),
            context.base() + "/articles/" + round.reference());
      }
    }
  }

  private static String names(List<StepState> states) {
    return states.stream().map(s -> s.step().name()).collect(Collectors.joining(", "));
  }

  /** Takes a step that nobody is named for; whoever may work on the site may. */
  @Transactional
  public void claim(SiteContext context, int number, String key) {
    context.require(Right.WORK);
    Round round = articles.get(context, number);
    List<StepState> before = steps.states(round.id());
    StepState state =
        before.stream()
            .filter(s -> s.step().key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("step", key));
    boolean free = round.person(state.step().role()) == null && state.personId() == null;
    if (!free || !steps.claim(round.id(), key, context.personId())) {
      throw new RefusedException("Somebody has “%s” already.".formatted(state.step().name()));
    }
    history.note(
        context,
        Right.WORK,
        "%s took “%s” of %s."
            .formatted(context.person().name(), state.step().name(), round.reference()),
        Change.of(
            Thing.ARTICLE,
            number,
            STEPS,
            "nobody: " + state.step().name(),
            context.person().name() + ": " + state.step().name(),
            kept(steps.recipe(round.id()), before),
            kept(steps.recipe(round.id()), steps.states(round.id()))));
  }

  @Override
  public boolean knows(String field) {
    return field.equals(STEPS);
  }

  /** What was ticked since keeps its tick, where the step is still there. */
  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    KeptSteps to = change.to(KeptSteps.class);
    List<StepState> now = steps.states(round.id());
    if (!isPlannedAs(now, to.steps()) || to.cushion() != round.cushion()) {
      return false;
    }
    KeptSteps from = change.from(KeptSteps.class);
    Map<String, StepState> byKey = byKey(now);
    List<StepState> back = new ArrayList<>();
    for (StepState state : from.steps()) {
      StepState ticked = byKey.getOrDefault(state.step().key(), state);
      back.add(ticked.with(state.step()).with(state.personId(), state.pinned()));
    }
    steps.put(round.id(), back);
    steps.setRecipe(new RoundRecipe(round.id(), from.cushion(), from.version()));
    return true;
  }
}
