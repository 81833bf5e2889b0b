package osmerin.app.articles;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.history.Change;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepState;
import osmerin.app.runups.StepStates;
import osmerin.app.runups.Steps;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stage;

/** Takes back what {@link ArticleEdits}, {@link PublishDates} and {@link StageMoves} did. */
@Component
class ArticleReversal implements Reversal {
  private final ArticleMapper articles;
  private final Steps steps;
  private final ArticleTypeService types;
  private final StageList stages;
  private final ArticleService looking;
  private final List<RoundReversal> others;

  ArticleReversal(
      ArticleMapper articles,
      Steps steps,
      ArticleTypeService types,
      StageList stages,
      ArticleService looking,
      List<RoundReversal> others) {
    this.steps = steps;
    this.types = types;
    this.stages = stages;
    this.articles = articles;
    this.looking = looking;
    this.others = others;
  }

  @Override
  public Thing thing() {
    return Thing.ARTICLE;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      Round round = looking.get(context, Integer.parseInt(key));
      if (!put(context, round, change)) {
        throw new RefusedException(
            "%s of %s is not “%s” any more, so it cannot be put back."
                .formatted(
                    change.field(),
                    round.reference(),
                    change.after() == null ? "none" : change.after()));
      }
    }
  }

  private boolean put(SiteContext context, Round round, Change change) {
    String field = change.field();
    if (field.startsWith(ArticleEdits.STEP)) {
      return putTick(round, change);
    }
    return switch (field) {
      case ArticleEdits.TITLE ->
          round.title().equals(change.to())
              && articles.rename(round.article().id(), change.from(), round.article().version())
                  == 1;
      case PublishDates.PUBLISH_DATE ->
          articles.setPublishDate(round.id(), date(change.to()), date(change.from())) == 1;
      case StageMoves.STAGE -> putStage(context, round, change);
      case ArticleEdits.ARCHIVED ->
          articles.archive(round.article().id(), change.from() != null) == 1;
      case "Type" -> putType(round, change);
      default ->
          others.stream()
              .filter(other -> other.knows(field))
              .findFirst()
              .orElseThrow(() -> new IllegalStateException("nobody takes back " + field))
              .put(context, round, change);
    };
  }

  private boolean putStage(SiteContext context, Round round, Change change) {
    Stage now = stages.get(context.siteId(), Long.parseLong(change.to()));
    Stage back =
        stages
            .of(context.siteId())
            .find(Long.parseLong(change.from()))
            .orElseThrow(
                () ->
                    new RefusedException(
                        "The site has no stage “%s” any more.".formatted(change.before())));
    if (articles.setStage(round.id(), now, back) == 0) {
      return false;
    }
    articles.insertMove(round.id(), now, back, context.personId());
    return true;
  }

  private boolean putTick(Round round, Change change) {
    StepTick tick = change.from(StepTick.class);
    return tick.doneOn() == null
        ? steps.untick(round.id(), tick.key())
        : steps.tick(round.id(), tick.key(), tick.doneOn(), tick.doneBy(), tick.due());
  }

  private boolean putType(Round round, Change change) {
    if (round.typeId() != change.to(KeptType.class).typeId() || round.isLive()) {
      return false;
    }
    KeptType back = change.from(KeptType.class);
    articles.setType(round.id(), back.typeId());
    if (back.recipe() != null) {
      steps.setRecipe(back.recipe());
    }
    if (back.steps() != null) {
      steps.put(round.id(), StepStates.back(back.steps(), steps.states(round.id())));
      return true;
    }
    List<StepState> plain = types.steps(back.typeId()).stream().map(StepState::open).toList();
    steps.put(round.id(), plain);
    back.done().forEach(t -> steps.tick(round.id(), t.key(), t.doneOn(), t.doneBy(), t.due()));
    return true;
  }

  private static @Nullable LocalDate date(@Nullable String value) {
    return value == null ? null : LocalDate.parse(value);
  }
}
