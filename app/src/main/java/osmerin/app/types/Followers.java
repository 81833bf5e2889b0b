package osmerin.app.types;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepDifference;
import osmerin.core.runup.StepFollowing;

/** What becomes of the open articles of a type that gets another recipe. */
@Component
class Followers {
  private final ArticleService articles;
  private final ArticleTypeService types;
  private final Steps steps;

  Followers(ArticleService articles, ArticleTypeService types, Steps steps) {
    this.articles = articles;
    this.types = types;
    this.steps = steps;
  }

  /** The open articles of a type, were its recipe this one. */
  List<Follower> of(SiteContext context, ArticleType type, int cushion, List<RunUpStep> after) {
    RoundPlanner planner = articles.planner(context.site());
    List<PlannedRound> open =
        articles.open(context).stream().filter(p -> p.round().typeId() == type.id()).toList();
    Map<Long, Integer> versions =
        steps.recipes(open.stream().map(p -> p.round().id()).toList()).stream()
            .collect(Collectors.toMap(RoundRecipe::roundId, RoundRecipe::version));
    Map<Integer, List<RunUpStep>> recipes = new HashMap<>();
    List<Follower> followers = new ArrayList<>();
    for (PlannedRound planned : open) {
      List<RunUpStep> before =
          recipes.computeIfAbsent(
              versions.get(planned.round().id()), version -> types.stepsAt(type, version));
      followers.add(follower(planner, planned, cushion, before, after));
    }
    return followers;
  }

  private static Follower follower(
      RoundPlanner planner,
      PlannedRound planned,
      int cushion,
      List<RunUpStep> before,
      List<RunUpStep> after) {
    List<RunUpStep> own = planned.steps().stream().map(StepRow::step).toList();
    Optional<List<RunUpStep>> steps = following(planned, own, before, after);
    if (steps.isEmpty()) {
      return new Follower(planned, null, List.of(), List.of());
    }
    List<StepState> states = states(planned, steps.get());
    Round round = planned.round().withCushion(cushion);
    List<String> changes = new ArrayList<>(StepDifference.of(own, steps.get()));
    if (changes.isEmpty() && cushion != planned.round().cushion()) {
      changes.add("the cushion alone");
    }
    return new Follower(planned, planner.planStates(round, states), states, changes);
  }

  private static Optional<List<RunUpStep>> following(
      PlannedRound planned, List<RunUpStep> own, List<RunUpStep> before, List<RunUpStep> after) {
    Set<String> done = new HashSet<>();
    planned.steps().stream().filter(s -> s.doneOn() != null).forEach(s -> done.add(s.key()));
    try {
      return Optional.of(StepFollowing.of(own, done, before, after));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static List<StepState> states(PlannedRound planned, List<RunUpStep> steps) {
    Map<String, StepState> byKey =
        planned.steps().stream()
            .map(StepRow::state)
            .collect(Collectors.toMap(s -> s.step().key(), Function.identity()));
    return steps.stream()
        .map(step -> byKey.getOrDefault(step.key(), StepState.open(step)).with(step))
        .toList();
  }
}
