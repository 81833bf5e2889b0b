package osmerin.app.articles;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.people.Naming;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.article.Kind;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.StepRole;

class ArticleServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private WorkdayService workdays;
  @Autowired private History history;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void numbersRunFromOneAndCarryThePrefixOfTheSite() {
    assertThat(commission("First", null).reference()).isEqualTo(site.site().prefix() + "-0001");
    assertThat(commission("Second", null).article().number()).isEqualTo(2);
    assertThat(emptyTitleRefused()).isTrue();
    assertThat(commission("Third", null).article().number()).isEqualTo(3);
  }

  private boolean emptyTitleRefused() {
    assertThatThrownBy(() -> commission("  ", null)).isInstanceOf(RefusedException.class);
    return true;
  }

  @Test
  void anImpossibleDateChangesNothingUntilItIsWantedAllTheSame() {
    Round round = commission("Soon", null);
    LocalDate tomorrow = site.today().plusDays(1);
    DateChange change =
        publishDates.setPublishDate(site, round.article().number(), null, tomorrow, false);
    assertThat(change).isInstanceOf(DateChange.Refused.class);
    DateChange.Refused impossible = (DateChange.Refused) change;
    assertThat(impossible.deciding()).contains("Write the draft");
    assertThat(articles.get(site, round.article().number()).publishDate()).isNull();
    assertThat(
            publishDates.setPublishDate(
                site, round.article().number(), null, impossible.earliest(), false))
        .isInstanceOf(DateChange.Done.class);
    assertThat(
            publishDates.setPublishDate(
                site, round.article().number(), impossible.earliest(), tomorrow, true))
        .isInstanceOf(DateChange.Done.class);
    assertThat(articles.get(site, round.article().number()).publishDate()).isEqualTo(tomorrow);
  }

  @Test
  void movingTheDateMovesWhatIsNotDone() {
    LocalDate date = site.today().plusWeeks(6).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
    Round round = commission("Later", date);
    edits.tick(site, round.article().number(), "brief", true);
    LocalDate briefDue = step(round, "brief").due();
    LocalDate draftDue = step(round, "draft").due();
    publishDates.setPublishDate(site, round.article().number(), date, date.plusWeeks(2), false);
    assertThat(step(round, "brief").due()).isEqualTo(briefDue);
    assertThat(step(round, "draft").due()).isEqualTo(draftDue.plusWeeks(2));
    edits.tick(site, round.article().number(), "brief", false);
    assertThat(step(round, "brief").due()).isEqualTo(briefDue.plusWeeks(2));
  }

  @Test
  void holidaysAreNoWorkingDays() {
    LocalDate date = site.today().plusWeeks(6).with(TemporalAdjusters.next(DayOfWeek.FRIDAY));
    Round round = commission("Holiday", date);
    LocalDate before = step(round, "proof").latestEnd();
    sites.addHoliday(site.site(), before, "Day off");
    assertThat(step(round, "proof").latestEnd()).isEqualTo(before.minusDays(1));
  }

  @Test
  void whoeverComesSecondIsTold() {
    LocalDate date = site.today().plusWeeks(6);
    Round round = commission("Contended", date);
    publishDates.setPublishDate(site, round.article().number(), date, date.plusDays(7), true);
    assertThatThrownBy(
            () ->
                publishDates.setPublishDate(
                    site, round.article().number(), date, date.plusDays(3), true))
        .isInstanceOfSatisfying(
            ConflictException.class,
            conflict -> {
              assertThat(conflict.theirs()).isEqualTo(In.dayAndYear(date.plusDays(7)));
              assertThat(conflict.yours()).isEqualTo(In.dayAndYear(date.plusDays(3)));
              assertThat(conflict.who()).startsWith("Una Berg, ");
              assertThat(conflict.seenNow()).containsEntry("from", date.plusDays(7).toString());
            });
    edits.rename(site, round.article().number(), "Renamed", round.article().version());
    assertThatThrownBy(
            () -> edits.rename(site, round.article().number(), "Mine", round.article().version()))
        .isInstanceOfSatisfying(
            ConflictException.class,
            conflict -> assertThat(conflict.theirs() + conflict.yours()).isEqualTo("RenamedMine"));
    stageMoves.move(
        site, round.article().number(), stage(site, "Briefed"), stage(site, "Commissioned"), true);
    assertThatThrownBy(
            () ->
                stageMoves.move(
                    site,
                    round.article().number(),
                    stage(site, "Briefed"),
                    stage(site, "Commissioned"),
                    true))
        .isInstanceOfSatisfying(
            ConflictException.class,
            conflict -> assertThat(conflict.theirs()).isEqualTo("Briefed"));
  }

  @Test
  void readyAsksForTheStepsThatAreToDo() {
    Round round = commission("Asked", null);
    assertThatThrownBy(
            () ->
                stageMoves.move(
                    site,
                    round.article().number(),
                    stage(site, "Ready"),
                    stage(site, "Commissioned"),
                    false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask ->
                assertThat(ask.points())
                    .contains("there is no brief", "there is no draft", "it has no publish date")
                    .contains("“Write the brief” is to be done"));
    assertThat(articles.get(site, round.article().number()).stage().label())
        .isEqualTo("Commissioned");
    stageMoves.move(
        site, round.article().number(), stage(site, "Editing"), stage(site, "Commissioned"), true);
    stageMoves.move(
        site, round.article().number(), stage(site, "Ready"), stage(site, "Editing"), true);
    assertThat(articles.get(site, round.article().number()).stage().label()).isEqualTo("Ready");
  }

  private Commission by(Long writer, LocalDate date) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = writer == null ? Map.of() : Map.of(StepRole.WRITER, writer);
    return new Commission("Begun", post, null, people, date);
  }

  @Test
  void anImpossibleDateIsKnownBeforeARoundBegins() {
    LocalDate today = site.today();
    Impossible impossible = articles.impossible(site, by(null, today)).orElseThrow();
    assertThat(impossible.deciding()).contains("Write the draft");
    assertThat(articles.impossible(site, by(null, impossible.earliest()))).isEmpty();
    assertThat(articles.impossible(site, by(null, null))).isEmpty();
    // Somebody who works on one day of the week needs longer.
    SiteContext mondays = join(site.site(), "Wim Aal", Role.WRITER);
    workdays.setDays(mondays.personId(), List.of(1));
    assertThat(articles.impossible(site, by(mondays.personId(), impossible.earliest())))
        .isPresent();
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    types.setPerson(post, StepRole.WRITER, mondays.personId());
    assertThat(articles.impossible(site, by(null, impossible.earliest()))).isPresent();
    types.setPerson(post, StepRole.WRITER, null);
    Round round = commission("Begun", impossible.earliest());
    assertThat(
            articles
                .page(site, round.article().number(), null)
                .planned()
                .plan()
                .earliestPublishDate())
        .isEqualTo(impossible.earliest());
  }

  @Test
  void stagesKeepWhoAndWhen() {
    Round round = commission("Moved", null);
    stageMoves.move(
        site, round.article().number(), stage(site, "Briefed"), stage(site, "Commissioned"), true);
    stageMoves.move(
        site, round.article().number(), stage(site, "Commissioned"), stage(site, "Briefed"), true);
    ArticlePage page = articles.page(site, round.article().number(), null);
    assertThat(page.moves())
        .extracting(ArticlePage.Move::toStage)
        .containsExactly("Commissioned", "Briefed", "Commissioned");
    assertThat(page.moves()).allSatisfy(m -> assertThat(m.person()).isEqualTo("Una Berg"));
    assertThatThrownBy(
            () ->
                stageMoves.move(
                    site,
                    round.article().number(),
                    stage(site, "Live"),
                    stage(site, "Commissioned"),
                    true))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void nothingOfAnotherSiteCanBeUsed() {
    SiteContext other = emptySite();
    Round theirs =
        articles.commission(other, new Commission("Theirs", postType(other), null, Map.of(), null));
    assertThatThrownBy(() -> articles.get(site, theirs.article().number()))
        .isInstanceOf(NotFoundException.class);
    assertThat(articles.byIds(site, List.of(theirs.id()))).isEmpty();
    assertThat(articles.byIds(other, List.of(theirs.id()))).hasSize(1);
    assertThatThrownBy(
            () ->
                articles.commission(
                    site, new Commission("Mine", postType(other), null, Map.of(), null)))
        .isInstanceOf(NotFoundException.class);
    Round mine = commission("Mine", null);
    assertThatThrownBy(
            () ->
                naming.name(
                    site,
                    mine.article().number(),
                    new Naming(StepRole.WRITER, 0, site.personId(), other.personId())))
        .isInstanceOf(NotFoundException.class);
    assertThat(articles.get(site, mine.article().number()).article().writers())
        .containsExactly(site.personId());
  }

  private Round commission(String title, LocalDate date) {
    return articles.commission(
        site,
        new Commission(
            title, postType(site), null, Map.of(StepRole.WRITER, site.personId()), date));
  }

  private long postType(SiteContext of) {
    return types.list(of.siteId(), Kind.NEW).get(0).id();
  }

  private PlannedStep step(Round round, String key) {
    return articles.page(site, round.article().number(), null).planned().plan().steps().stream()
        .filter(s -> s.step().key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  /** Six people tick one step in the same moment: it is ticked once, and history says so once. */
  @Test
  void aStepThatManyTickAtOnceIsTickedOnce() throws Exception {
    int number = commission("Eels", null).article().number();
    String key = articles.planned(site, number).steps().get(0).key();
    ExecutorService six = Executors.newFixedThreadPool(6);
    try {
      Callable<Void> tick =
          () -> {
            edits.tick(site, number, key, true);
            return null;
          };
      for (Future<Void> done : six.invokeAll(Collections.nCopies(6, tick))) {
        done.get();
      }
    } finally {
      six.shutdown();
    }
    assertThat(articles.planned(site, number).steps().get(0).doneOn()).isEqualTo(site.today());
    assertThat(history.entries(site, Asked.of(Thing.ARTICLE, number), 0, 50))
        .filteredOn(entry -> entry.sentence().contains("is done"))
        .hasSize(1);
  }
}
