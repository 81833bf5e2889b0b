package osmerin.app.stages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.briefs.SignOffs;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.OnEntering;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.types.UsualEdits;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.runup.StepRole;

class StageEditsTest extends ApplicationTest {
  @Autowired private StageEdits stageEdits;
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private SignOffs signOffs;
  @Autowired private UsualEdits usual;
  @Autowired private UndoService undo;
  @Autowired private Steps steps;
  @Autowired private OnEntering entering;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;
  private SiteContext tamsin;

  @BeforeEach
  void anArticle() {
    site = emptySite();
    tamsin = join(site.site(), "Tamsin Ode", Role.EDITOR);
    commission(site.today().plusWeeks(9));
  }

  private int commission(LocalDate day) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.EDITOR, tamsin.personId());
    return articles
        .commission(site, new Commission("Eels", type, null, people, day))
        .article()
        .number();
  }

  private Stages stages() {
    return stageList.of(site.siteId());
  }

  private List<String> names() {
    return stages().list().stream().map(Stage::label).toList();
  }

  private void move(int number, String to) {
    long seen = articles.get(site, number).stage().id();
    stageMoves.move(site, number, stage(site, to), seen, true);
  }

  private String at(int number) {
    return articles.get(site, number).stage().label();
  }

  @Test
  void aStageIsAddedBetweenTwoWithArticlesInThemAndRetiredAgainAllUndoneByOneKey() {
    move(1, "Editing");
    stageEdits.add(site, "Fact check", Phase.IN_HAND);
    assertThat(names())
        .containsExactly(
            "Commissioned",
            "Briefed",
            "Drafting",
            "Editing",
            "Fact check",
            "Ready",
            "Live",
            "Retired");
    assertThat(at(1)).isEqualTo("Editing");
    stageEdits.shift(site, stage(site, "Fact check"), false);
    assertThat(names()).containsSequence("Drafting", "Fact check", "Editing");
    assertThat(stages().previous(articles.get(site, 1).stage()).orElseThrow().label())
        .isEqualTo("Fact check");
    move(1, "Fact check");
    assertThatThrownBy(() -> stageEdits.retire(site, stage(site, "Fact check"), null))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("1 article is at “Fact check”");
    stageEdits.retire(site, stage(site, "Fact check"), stage(site, "Drafting"));
    assertThat(names()).doesNotContain("Fact check");
    assertThat(at(1)).isEqualTo("Drafting");
    undo.undoLatest(site);
    assertThat(names()).contains("Fact check");
    assertThat(at(1)).isEqualTo("Fact check");
    undo.redoLatest(site);
    assertThat(at(1)).isEqualTo("Drafting");
    assertThat(names()).doesNotContain("Fact check");
  }

  @Test
  void addingIsNotUndoneWhileAnArticleIsThere() {
    stageEdits.add(tamsinAsOwner(), "Fact check", Phase.IN_HAND);
    move(1, "Fact check");
    assertThatThrownBy(() -> undo.undoLatest(tamsinAsOwner()))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("1 article is at “Fact check” by now");
  }

  /** So that undoing takes back the adding, not the move of the other person. */
  private SiteContext tamsinAsOwner() {
    return new SiteContext(site.site(), tamsin.person(), Role.OWNER, site.today());
  }

  @Test
  void aMoveToAStageThatWasRetiredSinceIsNotUndone() {
    stageEdits.add(site, "Fact check", Phase.IN_HAND);
    move(1, "Fact check");
    move(1, "Editing");
    stageEdits.retire(tamsinAsOwner(), stage(site, "Fact check"), null);
    assertThatThrownBy(() -> undo.undoLatest(site))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("no stage “Fact check” any more");
  }

  @Test
  void whatNeedsAStageKeepsIt() {
    assertThatThrownBy(() -> stageEdits.retire(site, stage(site, "Ready"), null))
        .hasMessageContaining("must be “set”");
    stageEdits.add(site, "Booked", Phase.SET);
    stageEdits.retire(site, stage(site, "Ready"), null);
    move(1, "Booked");
    assertThat(articles.planned(site, 1).openSteps()).isNotEmpty();
    assertThatThrownBy(() -> stageEdits.retire(site, stage(site, "Editing"), null))
        .hasMessageContaining("Handing in a draft needs a stage");
    Map<StageAct, Long> leads = new EnumMap<>(Map.of(StageAct.HAND_IN, stage(site, "Drafting")));
    stageEdits.lead(site, leads);
    stageEdits.retire(site, stage(site, "Editing"), null);
    assertThat(names()).doesNotContain("Editing");
  }

  @Test
  void aLiveArticleMovesAmongLiveStagesOnly() {
    stageEdits.add(site, "Shared", Phase.LIVE);
    jdbc.update(
        "update round set stage_id = ?, live_on = now(), live_at = now() where id = ?",
        stage(site, "Live"),
        articles.get(site, 1).id());
    move(1, "Shared");
    assertThat(at(1)).isEqualTo("Shared");
    assertThatThrownBy(() -> move(1, "Editing"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Publishing takes an article live");
    undo.undoLatest(site);
    assertThat(at(1)).isEqualTo("Live");
  }

  @Test
  void someoneElsesChangeIsNotWrittenOver() {
    String seen = StageEdits.seen(stages());
    long editing = stage(site, "Editing");
    stageEdits.change(site, editing, named("Copy desk"), seen);
    assertThat(names()).contains("Copy desk");
    assertThatThrownBy(() -> stageEdits.change(site, editing, named("Desk"), seen))
        .isInstanceOf(ConflictException.class);
    move(1, "Copy desk");
    assertThat(articles.page(site, 1, null).moves().get(0).toStage()).isEqualTo("Copy desk");
    stageEdits.change(site, editing, named("Desk"), StageEdits.seen(stages()));
    assertThat(articles.page(site, 1, null).moves().get(0).toStage()).isEqualTo("Desk");
  }

  private static StageForm named(String name) {
    return new StageForm(name, Phase.IN_HAND, "editor", "", "", "", "");
  }

  @Test
  void enteringDoesWhatTheSiteHasSetAndSaidSoBefore() {
    StageForm form =
        new StageForm(
            "Editing",
            Phase.IN_HAND,
            "editor",
            "3",
            "write the DRAFT",
            "Legal check, editor, 0.5 h\nSecond legal check, editor, 0.5 h",
            "");
    stageEdits.change(site, stage(site, "Editing"), form, StageEdits.seen(stages()));
    Round round = articles.get(site, 1);
    Stage editing = stages().find(stage(site, "Editing")).orElseThrow();
    LocalDate due = sites.calendar(site.site()).plus(site.today(), 3);
    String step = firstOfEditor();
    List<String> before = stepNames();
    assertThat(entering.previewed(site, round, stages(), editing))
        .containsExactly(
            "Tamsin Ode is told",
            "“Write the draft” is ticked",
            "2 more steps: Legal check, Second legal check",
            "“%s” due %s".formatted(step, osmerin.app.platform.web.In.day(due)));
    move(1, "Editing");
    assertThat(stepNames()).containsAll(before).hasSize(before.size() + 2);
    assertThat(row(step).pinned()).isEqualTo(due);
    assertThat(row("Write the draft").doneOn()).isEqualTo(site.today());
    undo.undoLatest(site);
    assertThat(stepNames()).isEqualTo(before);
    assertThat(row(step).pinned()).isNull();
    assertThat(row("Write the draft").doneOn()).isNull();
    assertThat(at(1)).isEqualTo("Commissioned");
    move(1, "Editing");
    move(1, "Drafting");
    move(1, "Editing");
    assertThat(stepNames()).hasSize(before.size() + 2);
  }

  @Test
  void onePersonCanBeNextOnEveryArticle() {
    StageForm form =
        new StageForm("Editing", Phase.IN_HAND, "person " + tamsin.personId(), "2", "", "", "");
    stageEdits.change(site, stage(site, "Editing"), form, StageEdits.seen(stages()));
    Stage editing = stages().find(stage(site, "Editing")).orElseThrow();
    assertThat(entering.previewed(site, articles.get(site, 1), stages(), editing).get(0))
        .isEqualTo("Tamsin Ode is told");
    move(1, "Editing");
    assertThat(rows().stream().filter(row -> row.pinned() != null))
        .singleElement()
        .satisfies(row -> assertThat(row.role()).isEqualTo(StepRole.EDITOR));
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(stages().handoff(stages().find(editing.id()).orElseThrow()).person()).isNull();
    SiteContext stranger = emptySite();
    StageForm wrong =
        new StageForm("Editing", Phase.IN_HAND, "person " + stranger.personId(), "", "", "", "");
    assertThatThrownBy(
            () -> stageEdits.change(site, editing.id(), wrong, StageEdits.seen(stages())))
        .hasMessage("That person is not on this site.");
  }

  @Test
  void aStepIsNeverDueLaterThanThePlanHasIt() {
    StageForm form = new StageForm("Editing", Phase.IN_HAND, "editor", "200", "", "", "");
    stageEdits.change(site, stage(site, "Editing"), form, StageEdits.seen(stages()));
    move(1, "Editing");
    assertThat(row(firstOfEditor()).pinned()).isNull();
  }

  @Test
  void aStepThatAPersonPinnedStaysWhereTheyDid() {
    StageForm form = new StageForm("Editing", Phase.IN_HAND, "editor", "3", "", "", "");
    stageEdits.change(site, stage(site, "Editing"), form, StageEdits.seen(stages()));
    Round round = articles.get(site, 1);
    List<StepState> pinned =
        steps.states(round.id()).stream()
            .map(s -> s.step().name().equals(firstOfEditor()) ? s.with(null, site.today()) : s)
            .toList();
    steps.put(round.id(), pinned);
    move(1, "Editing");
    assertThat(rows()).extracting(StepRow::pinned).containsOnlyOnce(site.today());
    assertThat(rows().stream().filter(row -> row.pinned() != null)).hasSize(1);
  }

  private List<StepRow> rows() {
    return steps.of(List.of(articles.get(site, 1).id()));
  }

  private List<String> stepNames() {
    return rows().stream().map(StepRow::name).toList();
  }

  private StepRow row(String name) {
    return rows().stream().filter(row -> row.name().equals(name)).findFirst().orElseThrow();
  }

  private String firstOfEditor() {
    return rows().stream()
        .filter(row -> row.role().equals(StepRole.EDITOR) && row.doneOn() == null)
        .findFirst()
        .orElseThrow()
        .name();
  }

  @Test
  void whatCannotBeIsRefusedWithWhatToDo() {
    long editing = stage(site, "Editing");
    String seen = StageEdits.seen(stages());
    assertThatThrownBy(() -> stageEdits.add(site, " live ", Phase.IN_HAND))
        .hasMessage("Two stages are called “Live”.");
    assertThatThrownBy(() -> stageEdits.add(site, "", Phase.IN_HAND))
        .hasMessage("Every stage needs a name.");
    assertThatThrownBy(() -> change(editing, "boss", "", "", seen))
        .hasMessage("This site has no step role “boss”.");
    assertThatThrownBy(() -> change(editing, "editor", "soon", "", seen))
        .hasMessageContaining("“soon” is not a number of working days");
    assertThatThrownBy(() -> change(editing, "", "3", "", seen))
        .hasMessageContaining("Say whose turn it is");
    assertThatThrownBy(() -> change(editing, "editor", "", "Check, after the moon", seen))
        .hasMessageContaining("Step 1 that is added");
    assertThatThrownBy(() -> stageEdits.shift(site, stage(site, "Live"), true))
        .hasMessageContaining("last stage that is “live”");
    assertThatThrownBy(() -> stageEdits.retire(site, stage(emptySite(), "Briefed"), null))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> stageEdits.add(tamsin, "Mine", Phase.IN_HAND))
        .isInstanceOf(ForbiddenException.class);
    assertThat(names()).hasSize(7);
  }

  private void change(long id, String role, String due, String adds, String seen) {
    stageEdits.change(
        site, id, new StageForm("Editing", Phase.IN_HAND, role, due, "", adds, ""), seen);
  }

  @Test
  void aTickedStepMovesOnToTheStageItLeadsTo() {
    StageForm form = new StageForm("Editing", Phase.IN_HAND, "", "", "", "", "write the draft");
    stageEdits.change(site, stage(site, "Editing"), form, StageEdits.seen(stages()));
    edits.tick(site, 1, "draft", true);
    assertThat(at(1)).isEqualTo("Editing");
    undo.undoLatest(site);
    assertThat(at(1)).isEqualTo("Commissioned");
    assertThat(row("Write the draft").doneOn()).isNull();
    move(1, "Ready");
    edits.tick(site, 1, "draft", false);
    edits.tick(site, 1, "draft", true);
    assertThat(at(1)).isEqualTo("Ready");
  }

  @Test
  void writingWithoutTheBriefThatTheTypeNeedsIsAskedAbout() {
    long drafting = stage(site, "Drafting");
    long seen = articles.get(site, 1).stage().id();
    assertThatThrownBy(() -> stageMoves.move(site, 1, drafting, seen, false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> assertThat(ask.points()).containsExactly("there is no brief"));
    Round round = articles.get(site, 1);
    briefs.save(site, round, briefs.get(site, round).content(), 0);
    assertThatThrownBy(() -> stageMoves.move(site, 1, drafting, seen, false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> assertThat(ask.points()).containsExactly("the brief is not signed off"));
    usual.setBriefNeed(site, round.typeId(), BriefNeed.NONE);
    stageMoves.move(site, 1, drafting, seen, false);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThatThrownBy(() -> stageMoves.move(site, 1, drafting, seen, false))
        .isInstanceOf(AskException.class);
    signOffs.signOff(site, round, 1);
    stageMoves.move(site, 1, drafting, articles.get(site, 1).stage().id(), false);
    assertThat(at(1)).isEqualTo("Drafting");
  }

  /** Whatever is done to them, they stay sound, and everything can be taken back. */
  @Test
  void sixtyRandomChangesAreTakenBackOneByOne() {
    Random random = new Random(16);
    List<KeptStages> states = new ArrayList<>(List.of(KeptStages.of(stages())));
    List<String> places = new ArrayList<>(List.of(at(1)));
    while (states.size() < 60) {
      try {
        change(random);
      } catch (RefusedException e) {
        continue;
      }
      assertThat(stages().fault()).isEmpty();
      KeptStages now = KeptStages.of(stages());
      if (!now.equals(states.get(states.size() - 1))
          || !at(1).equals(places.get(places.size() - 1))) {
        states.add(now);
        places.add(at(1));
      }
    }
    for (int back = states.size() - 2; back >= 0; back--) {
      undo.undoLatest(site);
      assertThat(KeptStages.of(stages())).isEqualTo(states.get(back));
      assertThat(at(1)).isEqualTo(places.get(back));
    }
  }

  private void change(Random random) {
    List<Stage> all = stages().list();
    Stage one = all.get(random.nextInt(all.size()));
    Stage other = all.get(random.nextInt(all.size()));
    Phase phase = Phase.values()[random.nextInt(Phase.values().length)];
    switch (random.nextInt(6)) {
      case 0 -> stageEdits.add(site, "Stage " + random.nextInt(1_000), phase);
      case 1 -> stageEdits.shift(site, one.id(), random.nextBoolean());
      case 2 -> stageEdits.retire(site, one.id(), other.id());
      case 3 -> stageEdits.lead(site, Map.of(StageAct.values()[random.nextInt(5)], one.id()));
      case 4 ->
          stageEdits.change(
              site,
              one.id(),
              new StageForm("Named " + random.nextInt(1_000), phase, "", "", "", "", ""),
              StageEdits.seen(stages()));
      default -> stageMoves.move(site, 1, one.id(), articles.get(site, 1).stage().id(), true);
    }
  }
}
