package osmerin.app.types;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.runups.ArticleType;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.MovePreview;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Completion;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;

/** Whatever is previewed, of a type or a date, is what is there afterwards. */
class PreviewTruthTest extends ApplicationTest {
  private static final int CHANGES = 140;

  @Autowired private TypeEdits edits;
  @Autowired private ArticleService articles;
  @Autowired private Planning planning;
  @Autowired private UndoService undo;
  private final Random random = new Random(2_026);
  private SiteContext site;
  private long type;

  @Test
  void what_is_previewed_is_what_happens() {
    site = emptySite();
    type = types.list(site.siteId(), Kind.NEW).get(1).id();
    List<Integer> numbers = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Commission commission =
          new Commission("Eels " + i, type, null, Map.of(), i == 0 ? null : day());
      numbers.add(articles.commission(site, commission).article().number());
    }
    for (int i = 0; i < CHANGES; i++) {
      switch (random.nextInt(3)) {
        case 0 -> move(numbers.get(random.nextInt(4)));
        case 1 -> change();
        default -> tick(numbers.get(random.nextInt(4)));
      }
      if (random.nextInt(4) == 0) {
        undo.undoLatest(site);
      }
    }
  }

  private LocalDate day() {
    return site.today().plusDays(random.nextInt(90));
  }

  private PlannedRound planned(int number) {
    return articles.page(site, number, null).planned();
  }

  private void tick(int number) {
    PlannedRound round = planned(number);
    var step = round.steps().get(random.nextInt(round.steps().size()));
    super.edits.tick(site, number, step.key(), step.doneOn() == null);
    super.edits.rename(
        site, number, "Eels " + random.nextInt(), articles.get(site, number).article().version());
  }

  private void move(int number) {
    PlannedRound before = planned(number);
    LocalDate day = day();
    BackPlan then = planning.planner(site.site()).backPlan(before.round(), before.steps(), day);
    MovePreview said = MovePreview.of(before, then, day);
    publishDates.setPublishDate(site, number, before.round().publishDate(), day, true);

    PlannedRound after = planned(number);
    assertThat(after.plan()).isEqualTo(then);
    assertThat(after.plan().course()).isEqualTo(said.course());
    for (MovePreview.Line line : said.lines()) {
      PlannedStep step =
          after.plan().steps().stream()
              .filter(s -> s.step().name().equals(line.step()))
              .findFirst()
              .orElseThrow();
      assertThat(step.due()).isEqualTo(line.after());
      assertThat(step.pinConflict()).isEqualTo(line.clash());
    }
  }

  private void change() {
    ArticleType now = edits.get(site, type);
    RunUp wanted = new RunUp(now.name(), random.nextInt(4), mutated(types.steps(type)));
    List<Follower> said = edits.preview(site, now, wanted.cushion(), wanted.steps());
    edits.change(site, type, wanted, true, now.version());
    for (Follower follower : said) {
      PlannedRound after = planned(follower.before().round().article().number());
      PlannedRound expected = follower.isChanged() ? follower.after() : follower.before();
      assertThat(after.plan()).isEqualTo(expected.plan());
      assertThat(after.standing()).isEqualTo(expected.standing());
    }
  }

  /** One step longer or shorter, gone, or new. */
  private List<RunUpStep> mutated(List<RunUpStep> steps) {
    List<RunUpStep> changed = new ArrayList<>(steps);
    int at = random.nextInt(steps.size());
    RunUpStep step = steps.get(at);
    boolean isNeeded = steps.stream().anyMatch(s -> s.after().contains(step.key()));
    if (random.nextInt(3) == 0 && !isNeeded && steps.size() > 2) {
      changed.remove(at);
    } else if (random.nextInt(3) == 0) {
      List<String> after = step.followUp() ? List.of() : List.of(step.key());
      String key = "new-" + random.nextInt(1_000_000);
      changed.add(
          new RunUpStep(key, key, StepRole.EDITOR, 1, 1, after, null, false, Completion.HAND));
    } else {
      changed.set(
          at,
          new RunUpStep(
              step.key(),
              step.name(),
              step.role(),
              step.estimate(),
              random.nextInt(6),
              step.after(),
              step.offset(),
              step.followUp(),
              step.completedBy()));
    }
    return changed;
  }
}
