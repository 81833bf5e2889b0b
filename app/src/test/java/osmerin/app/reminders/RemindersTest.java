package osmerin.app.reminders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.holds.Holds;
import osmerin.app.notices.Notice;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.people.Naming;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.StepState;
import osmerin.app.runups.Steps;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** Whoever does a step is reminded of it once before it is due and once when it is late. */
class RemindersTest extends ApplicationTest {
  @Autowired private Reminders reminders;
  @Autowired private ArticleService articles;
  @Autowired private Notices notices;
  @Autowired private Holds holds;
  @Autowired private Steps steps;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;
  private SiteContext wim;
  private int number;

  @BeforeEach
  void anArticleFarAway() {
    site = emptySite();
    wim = join(site.site(), "Wim Aal", Role.WRITER);
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, wim.personId());
    LocalDate day = site.today().plusWeeks(12);
    number =
        articles
            .commission(site, new Commission("Eels", post, null, people, day))
            .article()
            .number();
  }

  private List<String> told(NoticeKind kind) {
    reminders.remind(site.site());
    return notices.of(wim.personId(), 0, 50).stream()
        .filter(notice -> notice.kind() == kind)
        .map(Notice::text)
        .toList();
  }

  /** Writing is due on a day. */
  private void due(LocalDate day) {
    long round = articles.get(site, number).id();
    List<StepState> states =
        steps.states(round).stream()
            .map(s -> s.step().key().equals("draft") ? s.with(s.personId(), day) : s)
            .toList();
    steps.put(round, states);
  }

  @Test
  void before_a_step_is_due_as_long_as_the_person_chose_and_once() {
    LocalDate day = sites.calendar(site.site()).onOrAfter(site.today().plusDays(3));
    int away = (int) ChronoUnit.DAYS.between(site.today(), day);
    due(day);
    reminders.setDaysBefore(wim.personId(), away - 1);
    assertThat(told(NoticeKind.STEP_DUE)).isEmpty();

    reminders.setDaysBefore(wim.personId(), away);
    assertThat(told(NoticeKind.STEP_DUE))
        .singleElement()
        .asString()
        .contains(
            "“Eels”: “Write the draft” is due on " + In.day(day), "waits for “Write the brief”");
    assertThat(told(NoticeKind.STEP_DUE)).hasSize(1);
    LocalDate sooner = sites.calendar(site.site()).onOrBefore(day.minusDays(1));
    due(sooner.isBefore(site.today()) ? site.today() : sooner);
    assertThat(told(NoticeKind.STEP_DUE).size() + told(NoticeKind.STEP_LATE).size()).isEqualTo(2);
  }

  @Test
  void when_it_became_late_unless_it_is_done_or_on_hold() {
    LocalDate day = sites.calendar(site.site()).onOrBefore(site.today().minusDays(1));
    due(day);
    holds.hold(site, number, "the moon", null, null);
    assertThat(told(NoticeKind.STEP_LATE)).isEmpty();
    holds.free(site, number);
    assertThat(told(NoticeKind.STEP_LATE)).singleElement().asString().contains("was due on");
    naming.name(site, number, new Naming(StepRole.WRITER, 0, wim.personId(), site.personId()));
    edits.tick(site, number, "draft", true);
    reminders.remind(site.site());
    assertThat(notices.of(site.personId(), 0, 50))
        .noneMatch(notice -> notice.text().contains("Write the draft"));
  }

  @Test
  void what_was_late_long_ago_and_whoever_works_alone_is_left_in_peace() {
    due(site.today().minusDays(20));
    assertThat(told(NoticeKind.STEP_LATE)).isEmpty();
    due(site.today().minusDays(3));
    team.remove(site, wim.personId());
    reminders.remind(site.site());
    assertThat(notices.of(wim.personId(), 0, 50))
        .noneMatch(notice -> notice.kind() == NoticeKind.STEP_LATE);
  }

  @Test
  void a_site_on_which_nobody_works_is_left_in_peace() {
    Site empty = sites.add("Nobody", "nobody.example", "NB", "UTC", List.of(1, 2, 3, 4, 5));
    assertThatCode(() -> reminders.remind(empty)).doesNotThrowAnyException();
  }

  @Test
  void a_morning_reminds_once() {
    due(sites.calendar(site.site()).onOrAfter(site.today()));
    reminders.setDaysBefore(wim.personId(), 30);
    jdbc.update("update site set reminded_on = current_date + 2 where id = ?", site.siteId());
    reminders.remind();
    assertThat(notices.of(wim.personId(), 0, 50))
        .noneMatch(notice -> notice.kind() == NoticeKind.STEP_DUE);
    assertThatThrownBy(() -> reminders.setDaysBefore(wim.personId(), 31))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> reminders.setDaysBefore(wim.personId(), -1))
        .isInstanceOf(RefusedException.class);
  }
}
