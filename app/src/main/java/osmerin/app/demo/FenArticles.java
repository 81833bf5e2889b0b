package osmerin.app.demo;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.checklists.ChecklistEdits;
import osmerin.app.pitches.PitchService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Publishing;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.SiteContext;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.Completion;

/** Articles of Sprocket Fen: live, in work, and one that could not go live at its hour. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class FenArticles {
  private static final String WRITES = SprocketFen.WRITES;
  private static final Map<String, String> TOPICS = DemoText.topicOfGroup("fen-research.txt");

  private final DemoArticles acts;
  private final PitchService pitches;
  private final ChecklistEdits checklists;
  private final PublishService publishing;
  private final Publishing outcome;
  private final ArticleService articles;
  private final DemoMapper ageing;

  FenArticles(
      DemoArticles acts,
      PitchService pitches,
      ChecklistEdits checklists,
      PublishService publishing,
      Publishing outcome,
      ArticleService articles,
      DemoMapper ageing) {
    this.acts = acts;
    this.pitches = pitches;
    this.checklists = checklists;
    this.publishing = publishing;
    this.outcome = outcome;
    this.articles = articles;
    this.ageing = ageing;
  }

  void add(DemoSite in) {
    int weeksBack = 3;
    for (String line : DemoText.lines("fen-articles.txt")) {
      String[] parts = line.split("\\s*\\|\\s*");
      switch (parts[0]) {
        case "live" -> addLive(in, parts, in.month().today().minusWeeks(weeksBack += 3));
        case "work" -> addInWork(in, parts);
        case "stuck" -> addUnpublished(in, parts);
        default -> pitches.pitch(in.as(WRITES), parts[1]);
      }
    }
  }

  private Round written(DemoSite in, String[] parts, @Nullable LocalDate day) {
    DemoArticles.Order order = new DemoArticles.Order(parts[3], parts[2], parts[1], WRITES, WRITES);
    Round round = acts.commission(in, order, day);
    String topic = TOPICS.get(parts[1]);
    acts.write(in, round, WRITES, DemoText.draft("fen-passages.txt", parts[3], topic, in.random()));
    return round;
  }

  private void addLive(DemoSite in, String[] parts, LocalDate around) {
    Round round = written(in, parts, null);
    acts.stage(in, round, WRITES, "Ready");
    acts.goLive(in, round, WRITES, in.month().calendar().onOrBefore(around), Duration.ofDays(17));
  }

  /** One that was set, and could not go live at its hour: it has no picture. */
  private void addUnpublished(DemoSite in, String[] parts) {
    SiteContext owner = in.as(DemoRecipes.OWNER);
    checklists.set(
        owner,
        in.typeIds().get(parts[2]),
        EnumSet.of(OwnCheck.PICTURES),
        "",
        ChecklistEdits.seen(List.of()));
    LocalDate day = in.month().calendar().onOrBefore(in.month().today().minusDays(1));
    Round round = written(in, parts, day);
    for (StepRow step : articles.planned(owner, round.article().number()).steps()) {
      if (!step.followUp() && step.completedBy() != Completion.PUBLISHED) {
        acts.tick(in, round, WRITES, step.key());
      }
    }
    acts.stage(in, round, WRITES, "Ready");
    int number = round.article().number();
    try {
      publishing.publish(in.as(WRITES), number, Wish.unattended(Optional.empty(), ""));
      throw new IllegalStateException("the demo needs a checklist that holds publishing up");
    } catch (RefusedException e) {
      outcome.failed(in.as(WRITES), articles.get(owner, number), e.getMessage());
    }
    LocalTime nine = LocalTime.of(9, 0);
    ageing.ageFailure(round.id(), nine, day.atTime(nine).atZone(in.site().zoneId()).toInstant());
  }

  private void addInWork(DemoSite in, String[] parts) {
    Round round =
        written(in, parts, parts.length > 4 ? in.month().in(Integer.parseInt(parts[4])) : null);
    acts.stage(in, round, WRITES, "Drafting");
    acts.tick(in, round, DemoArticles.STRATEGIST, "brief");
  }
}
