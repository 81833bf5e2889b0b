package osmerin.app.types;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.RoundRecipe;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.StepEdits;
import osmerin.core.article.Kind;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.text.Counted;

/** Adds, changes, copies and retires the article types of a site. */
@Service
public class TypeEdits implements Reversal {
  private static final String RECIPE = "Recipe";
  private static final String RETIRED = "Retired";

  private final ArticleTypeService types;
  private final Followers followers;
  private final StepEdits steps;
  private final UsualEdits usual;
  private final History history;

  TypeEdits(
      ArticleTypeService types,
      Followers followers,
      StepEdits steps,
      UsualEdits usual,
      History history) {
    this.usual = usual;
    this.types = types;
    this.followers = followers;
    this.steps = steps;
    this.history = history;
  }

  /** A type of the site. */
  public ArticleType get(SiteContext context, long id) {
    return types.known(context.siteId(), id);
  }

  /**
   * Adds a type.
   *
   * @return its id
   * @throws RefusedException when the name is empty, too long or taken
   */
  @Transactional
  public long add(SiteContext context, Kind kind, String typedName, List<RunUpStep> recipe) {
    return add(context, kind, typedName, RunUp.DEFAULT_CUSHION, recipe);
  }

  private long add(
      SiteContext context, Kind kind, String typed, int cushion, List<RunUpStep> recipe) {
    context.require(Right.MANAGE);
    requireSteps(recipe);
    String name = TypeForm.name(typed);
    long id =
        types
            .add(context.siteId(), kind, new RunUp(name, cushion, recipe))
            .orElseThrow(() -> taken(name));
    history.note(
        context,
        Right.MANAGE,
        "The type “%s” was added.".formatted(name),
        Change.of(Thing.TYPE, id, RETIRED, "not there", "added").keeping("retired", null));
    return id;
  }

  private static void requireSteps(List<RunUpStep> recipe) {
    if (recipe.isEmpty()) {
      throw new RefusedException("A type has at least one step. Type its name.");
    }
  }

  private static RefusedException taken(String name) {
    return new RefusedException("Another type is called “%s”.".formatted(name));
  }

  /** Adds a type that is like another. */
  @Transactional
  public long copy(SiteContext context, long id) {
    ArticleType type = get(context, id);
    String name = "Copy of " + type.name();
    for (int i = 2; types.isNameTaken(context.siteId(), type, name); i++) {
      name = "Copy %s of %s".formatted(i, type.name());
    }
    long copy = add(context, type.kind(), name, type.cushion(), types.steps(id));
    types.copyUsual(id, copy);
    return copy;
  }

  /** What becomes of the open articles of a type, were its recipe this one. */
  public List<Follower> preview(
      SiteContext context, ArticleType type, int cushion, List<RunUpStep> recipe) {
    return followers.of(context, type, cushion, recipe);
  }

  /**
   * Gives a type another name, cushion and recipe.
   *
   * @param follow whether open articles follow it; their done steps stay
   * @param seen the version of the type that was changed
   * @return open articles that follow
   */
  @Transactional
  public int change(SiteContext context, long id, RunUp wanted, boolean follow, int seen) {
    context.require(Right.MANAGE);
    requireSteps(wanted.steps());
    ArticleType type = get(context, id);
    List<RunUpStep> before = types.steps(id);
    if (types.isNameTaken(context.siteId(), type, wanted.name())) {
      throw taken(wanted.name());
    }
    List<Follower> following =
        follow
            ? followers.locked(context, type, wanted.cushion(), wanted.steps()).stream()
                .filter(Follower::isChanged)
                .toList()
            : List.of();
    if (!types.change(context.siteId(), id, wanted, seen)) {
      throw new ConflictException(
          new ConflictException.Field(type.name(), RECIPE),
          words(type.name(), before),
          words(wanted.name(), wanted.steps()),
          history.lastBy(context, Thing.TYPE, id, RECIPE),
          Map.of("seen", String.valueOf(type.version())));
    }
    List<Change> changes = new ArrayList<>();
    changes.add(recipe(type, before, wanted));
    following.forEach(f -> changes.addAll(follow(f, wanted.cushion(), seen + 1)));
    history.note(context, Right.MANAGE, sentence(wanted.name(), following.size()), changes);
    return following.size();
  }

  private static String sentence(String name, int following) {
    return "The type “%s” was changed%s."
        .formatted(
            name, following == 0 ? "" : "; " + Counted.of(following, "open article") + " followed");
  }

  private static Change recipe(ArticleType type, List<RunUpStep> before, RunUp wanted) {
    return Change.of(
            Thing.TYPE,
            type.id(),
            RECIPE,
            words(type.name(), before),
            words(wanted.name(), wanted.steps()))
        .keeping(
            new KeptType(type.name(), type.cushion(), before),
            new KeptType(wanted.name(), wanted.cushion(), wanted.steps()));
  }

  private List<Change> follow(Follower follower, int cushion, int version) {
    PlannedRound planned = follower.before();
    return steps.put(
        planned.round(),
        planned.steps().stream().map(StepRow::state).toList(),
        follower.states(),
        new RoundRecipe(planned.round().id(), cushion, version));
  }

  private static String words(String name, List<RunUpStep> recipe) {
    return name + ", " + Counted.of(recipe.size(), "step");
  }

  /** Retires a type: articles that have it keep it, no other gets it. */
  @Transactional
  public void retire(SiteContext context, long id) {
    context.require(Right.MANAGE);
    ArticleType type = get(context, id);
    if (types.list(context.siteId(), type.kind()).size() == 1) {
      throw new RefusedException(
          "“%s” is the only type there is. Add another before you retire it."
              .formatted(type.name()));
    }
    if (!types.retire(context.siteId(), id, true)) {
      throw new RefusedException("“%s” is retired already.".formatted(type.name()));
    }
    history.note(
        context,
        Right.MANAGE,
        "The type “%s” was retired.".formatted(type.name()),
        Change.of(Thing.TYPE, id, RETIRED, null, "retired"));
  }

  @Override
  public Thing thing() {
    return Thing.TYPE;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    ArticleType type = get(context, Long.parseLong(key));
    for (Change change : changes) {
      if (change.field().equals(RETIRED)) {
        retireOrBack(context, type, change.from() != null);
      } else if (usual.knows(change.field())) {
        usual.put(context, type, change);
      } else {
        putBack(context, type, change);
      }
    }
  }

  private void retireOrBack(SiteContext context, ArticleType type, boolean away) {
    boolean only = away && types.list(context.siteId(), type.kind()).size() == 1;
    boolean nameGone = !away && types.isNameTaken(context.siteId(), type, type.name());
    if (only || nameGone || !types.retire(context.siteId(), type.id(), away)) {
      throw new RefusedException(
          "As things stand “%s” can't be %s."
              .formatted(type.name(), away ? "taken away" : "brought back"));
    }
  }

  private void putBack(SiteContext context, ArticleType type, Change change) {
    KeptType to = change.to(KeptType.class);
    KeptType now = new KeptType(type.name(), type.cushion(), types.steps(type.id()));
    if (!now.equals(to)) {
      throw new RefusedException("“%s” has been changed since.".formatted(type.name()));
    }
    KeptType from = change.from(KeptType.class);
    if (types.isNameTaken(context.siteId(), type, from.name())) {
      throw taken(from.name());
    }
    RunUp back = new RunUp(from.name(), from.cushion(), from.steps());
    types.change(context.siteId(), type.id(), back, type.version());
  }
}
