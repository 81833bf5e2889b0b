package osmerin.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.desk.Desk.DeskStep;
import osmerin.app.desk.Desk.Waiting;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.Entry;
import osmerin.app.holds.Holds;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.MonthService;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.TestBlogHost.Line;
import osmerin.app.types.TypeEdits;
import osmerin.core.article.Kind;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;

class DeskServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private DeskService desks;
  @Autowired private DraftService drafts;
  @Autowired private MonthService months;
  @Autowired private PitchService pitches;
  @Autowired private PublishService publishing;
  @Autowired private TypeEdits typeEdits;
  @Autowired private Holds holds;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext owner;
  private SiteContext editor;
  private SiteContext writer;

  @BeforeEach
  void aTeam() {
    owner = emptySite();
    editor = join(owner.site(), "Edda Noor", Role.EDITOR);
    writer = join(owner.site(), "Wim Asare", Role.WRITER);
  }

  @Test
  void stepsOfTodayAndLateAreMineOnlyTheEarliestDueFirst() {
    commission(owner.today());
    Round next = commission(owner.today().plusWeeks(12));
    Desk desk = desk(writer);
    assertThat(desk.today()).isNotEmpty();
    assertThat(desk.today()).extracting(DeskStep::due).isSorted();
    assertThat(desk.today()).allSatisfy(s -> assertThat(s.due()).isBeforeOrEqualTo(owner.today()));
    assertThat(desk.late()).isPositive();
    assertThat(desk.next())
        .extracting(s -> s.round().article().number())
        .containsOnly(next.article().number());
    double canStart =
        desk.today().stream().filter(DeskStep::canStart).mapToDouble(DeskStep::hours).sum();
    assertThat(desk.hours()).isEqualTo(canStart);
    assertThat(desk(owner).today()).isEmpty();
  }

  @Test
  void aStepThatCannotStartNamesWhatItWaitsFor() {
    Round round = commission(owner.today());
    DeskStep draft = draftStep();
    assertThat(draft.canStart()).isFalse();
    assertThat(draft.waitsFor()).isNotBlank();
    articles.page(owner, round.article().number(), null).planned().steps().stream()
        .filter(s -> !s.role().equals(StepRole.WRITER))
        .filter(s -> draft.waitsFor().contains(s.name()))
        .forEach(s -> edits.tick(owner, round.article().number(), s.key(), true));
    assertThat(draftStep().canStart()).isTrue();
  }

  private DeskStep draftStep() {
    return desk(writer).today().stream()
        .filter(s -> s.key().equals("draft"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatWaitsIsWhatThePersonIsToDecide() {
    Round round = commission(null);
    pitches.pitch(writer, "Why eels turn");
    assertThat(whats(owner)).containsExactly("Commission");
    assertThat(whats(writer)).isEmpty();
    stageMoves.move(
        owner,
        round.article().number(),
        stage(owner, "Editing"),
        stage(owner, "Commissioned"),
        true);
    assertThat(whats(editor)).containsExactly("Review");
    stageMoves.move(
        owner, round.article().number(), stage(owner, "Ready"), stage(owner, "Editing"), true);
    assertThat(whats(editor)).isEmpty();
    drafts.save(owner, articles.get(owner, round.article().number()), "Words.", 0);
    BLOG.set(Line.DOWN);
    try {
      publishing.publish(editor, round.article().number(), Wish.BY_HAND);
    } finally {
      BLOG.set(Line.WORKS);
    }
    assertThat(desk(editor).waiting())
        .singleElement()
        .satisfies(
            w -> {
              assertThat(w.what()).isEqualTo("Publish");
              assertThat(w.alarming()).isTrue();
              assertThat(w.beside()).contains("does not answer");
            });
  }

  @Test
  void whereILeftOffIsMineAndTheNewsIsTheOthers() {
    Round first = commission(null);
    Round second = commission(null);
    stageMoves.move(
        writer,
        first.article().number(),
        stage(writer, "Briefed"),
        stage(writer, "Commissioned"),
        true);
    edits.rename(editor, second.article().number(), "Elvers", second.article().version());
    assertThat(desk(writer).leftOff())
        .extracting(round -> round.article().number())
        .containsExactly(first.article().number());
    assertThat(desk(writer).news()).extracting(Entry::sentence).anyMatch(s -> s.contains("Elvers"));
    assertThat(desk(editor).news()).noneMatch(e -> e.sentence().contains("Elvers"));
    assertThat(desk(editor).news()).anyMatch(e -> e.sentence().contains("Briefed"));
  }

  private List<String> whats(SiteContext of) {
    return desk(of).waiting().stream().map(Waiting::what).toList();
  }

  private Desk desk(SiteContext of) {
    return desks.desk(of, months.month(of, YearMonth.from(of.today())));
  }

  private Round commission(LocalDate date) {
    long type = types.list(owner.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people =
        Map.of(StepRole.WRITER, writer.personId(), StepRole.EDITOR, editor.personId());
    return articles.commission(owner, new Commission("Eels", type, null, people, date));
  }

  @Test
  void whatNobodyIsNamedForIsOfferedUnlessThereIsOnlyOnePerson() {
    SiteContext alone = emptySite();
    long post = types.list(alone.siteId(), Kind.NEW).get(0).id();
    LocalDate day = alone.today().plusWeeks(6);
    articles.commission(alone, new Commission("Eels", post, null, Map.of(), day));

    assertThat(desk(alone).next()).extracting(DeskStep::key).contains("brief", "draft");
    assertThat(desk(alone).nobodys()).isEmpty();

    SiteContext second = join(alone.site(), "Wim Aal", Role.WRITER);
    assertThat(desk(alone).next()).isEmpty();
    assertThat(desk(second).nobodys()).extracting(DeskStep::key).containsExactly("brief");
  }

  @Test
  void followUpsStandOnTheDeskOnceTheArticleIsLive() {
    Round round = commission(owner.today());
    int number = round.article().number();
    List<RunUpStep> steps = new ArrayList<>(types.steps(round.typeId()));
    steps.add(RunUpStep.followUp("look", "Look again", StepRole.WRITER, 1, 3));
    typeEdits.change(owner, round.typeId(), new RunUp("Post", 2, steps), true, 1);
    assertThat(keys(writer)).doesNotContain("look");

    stageMoves.move(owner, number, stage(owner, "Ready"), stage(owner, "Commissioned"), true);
    drafts.save(owner, articles.get(owner, number), "Words.", 0);
    publishing.publish(owner, number, Wish.BY_HAND);

    assertThat(keys(writer)).containsExactly("look");
    edits.tick(writer, number, "look", true);
    assertThat(keys(writer)).isEmpty();
    assertThat(articles.page(owner, number, null).followUps())
        .isEqualTo("All follow-ups are done.");
  }

  private List<String> keys(SiteContext person) {
    Desk desk = desk(person);
    return Stream.concat(desk.today().stream(), desk.next().stream()).map(DeskStep::key).toList();
  }

  @Test
  void whatIsOnHoldIsAskedAboutOnItsDayByWhoeverCanFreeIt() {
    Round round = commission(owner.today());
    holds.hold(owner, round.article().number(), "a quote", writer.personId(), tomorrow());
    assertThat(whats(writer)).isEmpty();
    jdbc.update("update round set hold_until = current_date where id = ?", round.id());

    assertThat(whats(writer)).containsExactly("Still on hold?");
    assertThat(whats(editor)).isEmpty();
    assertThat(desk(editor).onHold()).hasSize(1);
  }

  private LocalDate tomorrow() {
    return owner.today().plusDays(1);
  }
}
