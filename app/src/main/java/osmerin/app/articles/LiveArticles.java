package osmerin.app.articles;

import static osmerin.app.platform.data.CopyIn.fields;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.text.Counted;

/** Articles that were live before Osmerin knew of them, thousands at once. */
@Service
public class LiveArticles implements Reversal {
  private final ArticleMapper articles;
  private final ArticleTypeService types;
  private final StageList stages;
  private final CopyIn copy;
  private final History history;

  LiveArticles(
      ArticleMapper articles,
      ArticleTypeService types,
      StageList stages,
      CopyIn copy,
      History history) {
    this.stages = stages;
    this.articles = articles;
    this.types = types;
    this.copy = copy;
    this.history = history;
  }

  /**
   * A page that is to be an article.
   *
   * @param liveOn the day it first went live, not after today
   */
  public record Incoming(String title, String address, LocalDate liveOn) {}

  /** One of them with the ids it gets. */
  private record Made(long article, long round, int number, Incoming page) {}

  /**
   * Makes a live article of each page; it counts in the month it went live. Taking it back puts
   * them into the archive, and no month counts them any more.
   *
   * @param from where the pages were named
   * @return their ids in the order of the pages
   */
  @Transactional
  public List<Long> bringIn(SiteContext context, String from, List<Incoming> pages) {
    context.require(Right.COMMISSION);
    List<Made> made = made(context, pages);
    store(context, made);
    long bringing = articles.insertBringing(context.siteId());
    copy.rows("brought_in (bringing_id, article_id)", made, m -> fields(bringing, m.article()));
    String count = Counted.of(pages.size(), "live article");
    history.note(
        context,
        Right.COMMISSION,
        "%s brought in from %s.".formatted(count, from),
        Change.of(Thing.BROUGHT_IN, bringing, ArticleEdits.ARCHIVED, null, count + " brought in")
            .keeping("archived", null));
    return made.stream().map(Made::article).toList();
  }

  private List<Made> made(SiteContext context, List<Incoming> pages) {
    List<Long> ids = copy.ids("article", pages.size());
    List<Long> rounds = copy.ids("round", pages.size());
    int first = articles.takeNumbers(context.siteId(), pages.size());
    return IntStream.range(0, pages.size())
        .mapToObj(i -> new Made(ids.get(i), rounds.get(i), first + i, pages.get(i)))
        .toList();
  }

  private void store(SiteContext context, List<Made> made) {
    ArticleType type = types.list(context.siteId(), Kind.NEW).get(0);
    Stage live = stages.of(context.siteId()).at(StageAct.PUBLISHING);
    copy.rows(
        "article (id, site_id, number, title, live_address)",
        made,
        m ->
            fields(
                m.article(),
                context.siteId(),
                m.number(),
                Commission.title(m.page().title()),
                m.page().address()));
    copy.rows(
        "round (id, article_id, ordinal, kind, type_id, type_version, cushion, stage_id,"
            + " publish_date, live_on, live_at)",
        made,
        m ->
            fields(
                m.round(),
                m.article(),
                1,
                Kind.NEW,
                type.id(),
                type.version(),
                type.cushion(),
                live.id(),
                m.page().liveOn(),
                m.page().liveOn(),
                m.page().liveOn().atTime(12, 0).atZone(context.site().zoneId()).toInstant()));
    copy.rows(
        "stage_move (round_id, to_id, person_id)",
        made,
        m -> fields(m.round(), live.id(), context.personId()));
  }

  @Override
  public Thing thing() {
    return Thing.BROUGHT_IN;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    boolean away = changes.get(0).from() != null;
    long bringing = Long.parseLong(key);
    if (articles.refreshedBroughtIn(bringing) > 0) {
      throw new RefusedException(
          "Some of them were refreshed since, so they cannot all go. Archive those that should.");
    }
    Stage stage = stages.of(context.siteId()).at(away ? StageAct.RETIRING : StageAct.PUBLISHING);
    if (articles.archiveBroughtIn(context.siteId(), bringing, away, stage, context.site().zone())
        == 0) {
      throw new RefusedException(
          away ? "They are in the archive already." : "They are not in the archive any more.");
    }
  }
}
