package osmerin.app.articles;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.platform.web.In;
import osmerin.app.publishing.Publishing;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.StandingWords;
import osmerin.app.runups.StepRow;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.article.Standing.State;
import osmerin.core.workday.WorkCalendar;

/** How an article stands, from the database to the words on the page. */
class StandingWordsTest extends ApplicationTest {
  @Autowired private JdbcTemplate jdbc;
  @Autowired private ArticleService articles;
  @Autowired private Publishing publishing;
  private SiteContext site;
  private WorkCalendar calendar;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
    calendar = sites.calendar(site.site());
  }

  @Test
  void withoutADateItSaysSo() {
    PlannedRound planned = planned(commission(null));
    assertThat(StandingWords.words(planned)).isEqualTo("no date");
    assertThat(StandingWords.tone(planned)).isEqualTo("quiet");
    assertThat(StandingWords.warning(planned)).isEmpty();
    assertThat(planned.paced().publishDate()).isNull();
  }

  @Test
  void onCourseItSaysItsSlack() {
    PlannedRound planned = planned(commission(site.today().plusWeeks(8)));
    assertThat(planned.standing().state()).isEqualTo(State.ON_COURSE);
    assertThat(StandingWords.words(planned)).matches("\\d+ days");
    assertThat(StandingWords.tone(planned)).isEqualTo("plain");
  }

  @Test
  void anImpossibleDateNamesTheEarliest() {
    LocalDate today = calendar.onOrAfter(site.today());
    PlannedRound planned = planned(commission(today));
    assertThat(StandingWords.words(planned)).startsWith("impossible, earliest ");
    assertThat(StandingWords.tone(planned)).isEqualTo("late");
    assertThat(StandingWords.warning(planned))
        .contains(In.day(today))
        .contains(In.day(planned.plan().earliestPublishDate()));
  }

  @Test
  void whatIsReadyIsSetForItsHourOrWaitsForAHandAndAfterItsDayIsNotPublished() {
    LocalDate friday = calendar.plus(site.today(), 4);
    Round round = commission(friday);
    toReady(round);
    assertThat(StandingWords.words(planned(round))).isEqualTo("ready, to be published by hand");
    jdbc.update("update round set publish_hour = '09:00' where id = ?", round.id());
    assertThat(StandingWords.words(planned(round)))
        .isEqualTo("set for " + In.day(friday) + ", 09:00");
    publishDates.setPublishDate(
        site, round.article().number(), friday, site.today().minusDays(1), true);
    PlannedRound past = planned(round);
    assertThat(StandingWords.words(past)).isEqualTo("not published");
    assertThat(past.paced().earliest()).isEqualTo(site.today());
    publishDates.setPublishDate(
        site, round.article().number(), site.today().minusDays(1), null, true);
    assertThat(StandingWords.words(planned(round))).isEqualTo("ready, no date");
  }

  /** Four moves once turned a lost article into a planned one. */
  @Test
  void readyWithStepsToDoStandsAsItDidBefore() {
    Round round = commission(calendar.onOrAfter(site.today()));
    // Moving past the draft hands it in.
    edits.tick(site, round.article().number(), "draft", true);
    String before = StandingWords.words(planned(round));
    moveUntilSet(site, round.article().number());
    assertThat(StandingWords.words(planned(round))).isEqualTo(before);
  }

  @Test
  void onceLiveNoStepHasSlackAndOnlyAFollowUpIsOverdue() {
    Round round = commission(calendar.onOrAfter(site.today()));
    jdbc.update(
        "update round set stage_id = ?, live_at = now() - interval '300 days',"
            + " live_on = now() - interval '300 days' where id = ?",
        stage(site, "Live"),
        round.id());
    PlannedRound live = planned(round);
    assertThat(live.plan().steps())
        .isNotEmpty()
        .allSatisfy(step -> assertThat(live.slack(step)).isNull())
        .filteredOn(live::isOverdue)
        .allMatch(step -> step.step().followUp());
  }

  @Test
  void aFailureToPublishIsLoudWhateverTheDate() {
    Round round = commission(null);
    toReady(round);
    publishing.begin(site, articles.get(site, round.article().number()));
    publishing.failed(site, round, "The blog host does not answer.");
    assertThat(StandingWords.tone(planned(round))).isEqualTo("late");
  }

  @Test
  void whatIsTickedOffKeepsWhoDidItAndCanBeTakenBack() {
    Round round = commission(site.today().plusWeeks(8));
    List<String> keys = new ArrayList<>();
    planned(round).steps().forEach(step -> keys.add(step.key()));
    keys.forEach(key -> edits.tick(site, round.article().number(), key, true));
    assertThat(planned(round).steps())
        .allSatisfy(s -> assertThat(s.doneBy()).isEqualTo("Una Berg"));
    edits.tick(site, round.article().number(), keys.get(0), true);
    edits.tick(site, round.article().number(), keys.get(0), false);
    edits.tick(site, round.article().number(), keys.get(0), false);
    assertThat(planned(round).steps()).filteredOn(s -> s.doneOn() == null).hasSize(1);
  }

  @Test
  void stepsNameWhatTheyWaitFor() {
    ArticlePage page = articles.page(site, commission(null).article().number(), null);
    assertThat(page.waitsFor(page.planned().steps().get(0))).isEmpty();
    StepRow proof = page.planned().steps().get(4);
    assertThat(page.waitsFor(proof)).isEqualTo("Make pictures, Edit");
  }

  private Round commission(LocalDate date) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    return articles.commission(site, new Commission("Eels", post, null, Map.of(), date));
  }

  private void toReady(Round round) {
    planned(round)
        .steps()
        .forEach(step -> edits.tick(site, round.article().number(), step.key(), true));
    moveUntilSet(site, round.article().number());
  }

  private PlannedRound planned(Round round) {
    return articles.page(site, round.article().number(), null).planned();
  }
}
