package osmerin.app.refresh;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Phase;

/** Opens refresh rounds on live articles, and takes that back while nobody has worked on them. */
@Service
public class RefreshService implements RoundReversal {
  private static final String ROUND = "Round";

  private final ArticleService articles;
  private final BriefService briefs;
  private final DraftService drafts;
  private final Steps steps;
  private final History history;

  RefreshService(
      ArticleService articles,
      BriefService briefs,
      DraftService drafts,
      Steps steps,
      History history) {
    this.articles = articles;
    this.briefs = briefs;
    this.drafts = drafts;
    this.steps = steps;
    this.history = history;
  }

  /** Opens a round; it starts from the last round's brief and draft. */
  @Transactional
  public Round begin(
      SiteContext context, int number, long depthId, @Nullable LocalDate publishDate) {
    Round round = open(context, number, new KeptRefresh(depthId, publishDate));
    String depth = round.typeName().toLowerCase(Locale.ROOT);
    history.note(
        context,
        Right.COMMISSION,
        "Round %s of %s was opened, a %s.".formatted(round.ordinal(), round.reference(), depth),
        Change.of(
                Thing.ARTICLE,
                number,
                ROUND,
                "round " + (round.ordinal() - 1),
                "round " + round.ordinal())
            .keeping(null, new KeptRefresh(depthId, publishDate)));
    return round;
  }

  private Round open(SiteContext context, int number, KeptRefresh kept) {
    Round before = articles.get(context, number);
    Round round = articles.openRefresh(context, number, kept.depthId(), kept.publishDate());
    briefs.carryOver(before, round);
    drafts.carryOver(context, before, round);
    return round;
  }

  @Override
  public boolean knows(String field) {
    return field.equals(ROUND);
  }

  /** Withdraws a round on which nobody has worked yet, or opens it again. */
  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    KeptRefresh again = change.from(KeptRefresh.class);
    if (again != null) {
      open(context, round.article().number(), again);
      return true;
    }
    String opened = Objects.requireNonNull(change.after());
    if (!opened.equals("round " + round.ordinal())) {
      return false;
    }
    requireUntouched(round, Objects.requireNonNull(change.to(KeptRefresh.class)));
    drafts.dropCarriedOver(round);
    briefs.dropCarriedOver(round);
    articles.withdraw(round);
    return true;
  }

  private void requireUntouched(Round round, KeptRefresh kept) {
    boolean untouched =
        round.stage().phase() == Phase.TO_COME
            && steps.states(round.id()).stream().noneMatch(StepState::isDone)
            && briefs.isCarriedOver(round)
            && drafts.isCarriedOver(round)
            && round.typeId() == kept.depthId()
            && Objects.equals(round.publishDate(), kept.publishDate());
    if (!untouched) {
      throw new RefusedException(
          "Round %s of %s has been worked on since it was opened. Undo that work first."
              .formatted(round.ordinal(), round.reference()));
    }
  }
}
