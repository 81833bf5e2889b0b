package osmerin.app.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.StageMoves;
import osmerin.app.drafts.DraftService;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StageList;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.runup.StepRole;

/** What people do to one article, from its commission until it is live. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoArticles {
  static final String STRATEGIST = "Odile Brandt";

  private static final LocalTime MORNING = LocalTime.of(9, 30);

  private final ArticleService articles;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final StageList stages;
  private final DraftService drafts;
  private final PublishService publishing;
  private final DemoMapper ageing;

  DemoArticles(
      ArticleService articles,
      ArticleEdits edits,
      StageMoves stageMoves,
      StageList stages,
      DraftService drafts,
      PublishService publishing,
      DemoMapper ageing) {
    this.articles = articles;
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.stages = stages;
    this.drafts = drafts;
    this.publishing = publishing;
    this.ageing = ageing;
  }

  /**
   * An article to be.
   *
   * @param type of article, its name in lower case
   * @param keyword of the group it answers
   */
  record Order(String title, String type, @Nullable String keyword, String editor, String writer) {}

  Round commission(DemoSite in, Order order, @Nullable LocalDate day) {
    String keyword = order.keyword();
    Long group = keyword == null ? null : ageing.findGroup(in.site().id(), keyword).orElse(null);
    return articles.commission(
        in.as(STRATEGIST),
        new Commission(
            order.title(),
            in.typeIds().get(order.type()),
            group,
            Map.of(
                StepRole.STRATEGIST, in.people().get(STRATEGIST),
                StepRole.EDITOR, in.people().get(order.editor()),
                StepRole.WRITER, in.people().get(order.writer())),
            day));
  }

  /** Moves it on, stage by stage, to the one of that name. */
  void stage(DemoSite in, Round round, String editor, String to) {
    Stages all = stages.of(in.site().id());
    Stage at = all.at(StageAct.COMMISSIONING);
    while (!at.label().equals(to)) {
      Stage next = all.next(at).orElseThrow();
      stageMoves.move(in.as(editor), round.article().number(), next.id(), at.id(), true);
      at = next;
    }
  }

  void tick(DemoSite in, Round round, String who, String... keys) {
    for (String key : keys) {
      edits.tick(in.as(who), round.article().number(), key, true);
    }
  }

  void write(DemoSite in, Round round, String writer, String text) {
    int base = drafts.latest(round).map(d -> d.ordinal()).orElse(0);
    drafts.save(in.as(writer), round, text, base);
  }

  /** The text of a round's last draft. */
  String text(Round round) {
    return drafts.latest(round).orElseThrow().text();
  }

  /** Publishes now and then puts it into the past; without a host it is live without a page. */
  void goLive(DemoSite in, Round round, String editor, LocalDate day, Duration took) {
    int number = round.article().number();
    Instant at = day.atTime(MORNING).atZone(in.site().zoneId()).toInstant();
    Round ready = articles.get(in.as(editor), number);
    PublishService.Outcome outcome =
        publishing.publish(in.as(editor), number, Wish.unattended(Optional.of(at), ""));
    if (outcome instanceof PublishService.Outcome.Failed) {
      throw new IllegalStateException("the demo needs its simulated blog host: " + outcome);
    }
    Instant begun = at.minus(took);
    ageing.ageRound(ready.id(), day, at, begun);
    ageing.ageSteps(ready.id(), day, at);
    ageing.ageMoves(ready.id(), begun, at);
    ageing.ageDrafts(ready.id(), at);
    ageing.ageHistory(in.site().id(), String.valueOf(number), in.loadedSince(), begun, at);
  }
}
