package osmerin.app.steps;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRoles;
import osmerin.app.runups.StepState;
import osmerin.app.runups.StepStates;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepDifference;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.DayText;

/** Changes the steps of one article; its type is untouched. */
@Service
public class StepEdits implements RoundReversal {
  private static final String STEPS = "Steps";

  private final ArticleService articles;
  private final Steps steps;
  private final ArticleTypeService types;
  private final StepRoles roles;
  private final TeamService team;
  private final History history;
  private final Notices notices;

  StepEdits(
      ArticleService articles,
      Steps steps,
      ArticleTypeService types,
      StepRoles roles,
      TeamService team,
      History history,
      Notices notices) {
    this.articles = articles;
    this.steps = steps;
    this.types = types;
    this.roles = roles;
    this.team = team;
    this.history = history;
    this.notices = notices;
  }

  /**
   * A sign by which it is known whether the steps of a round are still the same; ticks aside. The
   * same on every node.
   */
  public String seen(Round round) {
    return seen(steps.states(round.id()));
  }

  private static String seen(List<StepState> states) {
    String planned =
        states.stream()
            .map(s -> s.step() + " " + s.personId() + " " + s.pinned())
            .collect(Collectors.joining("\n"));
    return UUID.nameUUIDFromBytes(planned.getBytes(StandardCharsets.UTF_8)).toString();
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
    List<StepState> before = steps.locked(round.id());
    Map<Integer, String> faults = new LinkedHashMap<>();
    Optional<List<StepState>> wanted = read(context, form, before, faults);
    if (wanted.isEmpty()) {
      return faults;
    }
    refuseToDropDone(before, wanted.get());
    String now = seen(before);
    if (!now.equals(seen)) {
      throw new ConflictException(
          new ConflictException.Field(round.reference(), STEPS),
          names(before),
          names(wanted.get()),
          history.lastBy(context, Thing.ARTICLE, number, STEPS),
          Map.of("seen", now));
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
    Map<String, StepState> byKey = StepStates.byKey(before);
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
    Map<String, StepState> byKey = StepStates.byKey(wanted);
    before.stream()
        .filter(state -> state.isDone() && !byKey.containsKey(state.key()))
        .findFirst()
        .ifPresent(
            state -> {
              throw new RefusedException(
                  "“%s” is done and stays. Take its tick away first."
                      .formatted(state.step().name()));
            });
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
    if (StepStates.isPlannedAs(before, after) && had.equals(recipe)) {
      return List.of();
    }
    steps.put(round.id(), after);
    steps.setRecipe(recipe);
    return List.of(
        Change.of(Thing.ARTICLE, round.article().number(), STEPS, null, words(before, after))
            .keeping(kept(had, before), kept(recipe, after)));
  }

  private static String words(List<StepState> before, List<StepState> after) {
    List<String> differences = StepDifference.of(StepStates.steps(before), StepStates.steps(after));
    return differences.isEmpty() ? "other people or days" : String.join("; ", differences);
  }

  private static KeptSteps kept(RoundRecipe recipe, List<StepState> states) {
    return new KeptSteps(recipe.cushion(), recipe.version(), states);
  }

  private void tellNamed(
      SiteContext context, Round round, List<StepState> before, List<StepState> after) {
    Map<String, StepState> byKey = StepStates.byKey(before);
    for (StepState state : after) {
      StepState was = byKey.get(state.key());
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

  /**
   * Gives an article the steps of its type again, but for what is done.
   *
   * @throws RefusedException when what is done doesn't go with them
   */
  @Transactional
  public void asType(SiteContext context, int number) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    ArticleType type = types.find(context.siteId(), round.typeId()).orElseThrow();
    List<StepState> before = steps.locked(round.id());
    List<StepState> after =
        StepStates.following(before, StepStates.steps(before), types.steps(type.id()))
            .orElseThrow(
                () -> new RefusedException("What is done doesn't go with the steps of its type."));
    history.note(
        context,
        Right.EDIT,
        "%s has the steps of its type again.".formatted(round.reference()),
        put(round, before, after, new RoundRecipe(round.id(), type.cushion(), type.version())));
  }

  /** Takes a step that nobody is named for; whoever may work on the site may. */
  @Transactional
  public void claim(SiteContext context, int number, String key) {
    context.require(Right.WORK);
    Round round = articles.get(context, number);
    List<StepState> before = steps.locked(round.id());
    StepState state =
        Optional.ofNullable(StepStates.byKey(before).get(key))
            .orElseThrow(() -> new NotFoundException("step", key));
    boolean free =
        round.article().people(state.step().role()).isEmpty() && state.personId() == null;
    if (!free || state.isDone()) {
      throw new RefusedException("“%s” has already been taken.".formatted(state.step().name()));
    }
    StepState taken = state.with(context.personId(), state.pinned());
    List<StepState> after = before.stream().map(s -> s == state ? taken : s).toList();
    history.note(
        context,
        Right.WORK,
        "%s took “%s” of %s."
            .formatted(context.person().name(), state.step().name(), round.reference()),
        put(round, before, after, steps.recipe(round.id())));
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
    if (!StepStates.isPlannedAs(now, to.steps()) || to.cushion() != round.cushion()) {
      return false;
    }
    KeptSteps from = change.from(KeptSteps.class);
    steps.put(round.id(), StepStates.back(from.steps(), now));
    steps.setRecipe(new RoundRecipe(round.id(), from.cushion(), from.version()));
    return true;
  }
}
