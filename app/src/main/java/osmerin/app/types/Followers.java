package osmerin.app.types;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.runups.StepStates;
import osmerin.app.runups.Steps;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepDifference;

/** What becomes of the open articles of a type that gets another recipe. */
@Component
class Followers {
  private final ArticleService articles;
  private final Planning planning;
  private final ArticleTypeService types;
  private final Steps steps;

  Followers(ArticleService articles, Planning planning, ArticleTypeService types, Steps steps) {
    this.planning = planning;
    this.articles = articles;
    this.types = types;
    this.steps = steps;
  }

  /** The same as {@link #of}; nobody else changes their steps until the transaction ends. */
  List<Follower> locked(SiteContext context, ArticleType type, int cushion, List<RunUpStep> after) {
    steps.lockOfType(type.id());
    return of(context, type, cushion, after);
  }

  /** The open articles of a type, were its recipe this one. */
  List<Follower> of(SiteContext context, ArticleType type, int cushion, List<RunUpStep> after) {
    RoundPlanner planner = planning.planner(context.site());
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
    List<StepState> own = planned.steps().stream().map(StepRow::state).toList();
    return StepStates.following(own, before, after)
        .map(states -> follower(planner, planned, cushion, states))
        .orElseGet(() -> new Follower(planned, null, List.of(), List.of()));
  }

  private static Follower follower(
      RoundPlanner planner, PlannedRound planned, int cushion, List<StepState> states) {
    List<RunUpStep> own = planned.steps().stream().map(StepRow::step).toList();
    List<String> changes = new ArrayList<>(StepDifference.of(own, StepStates.steps(states)));
    if (changes.isEmpty() && cushion != planned.round().cushion()) {
      changes.add("the cushion alone");
    }
    PlannedRound then = planner.planStates(planned.round().withCushion(cushion), states);
    return new Follower(planned, then, states, changes);
  }
}
