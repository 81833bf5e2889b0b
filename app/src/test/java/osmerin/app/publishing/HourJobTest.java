package osmerin.app.publishing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.checklists.ChecklistEdits;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.Entry;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.Thing;
import osmerin.app.history.UndoService;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.people.Naming;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.TestBlogHost.Line;
import osmerin.core.article.Kind;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.StepRole;

/** Publishing at an hour, and what was published elsewhere. */
class HourJobTest extends ApplicationTest {
  private static final LocalTime EARLY = LocalTime.of(0, 0);
  private static final String ADDRESS = "https://loam.example/eels";

  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private History history;
  @Autowired private Publishing publishing;
  @Autowired private ChecklistEdits checklists;
  @Autowired private Notices notices;
  @Autowired private UndoService undo;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;
  private int before;
  private LocalDate day;

  @BeforeEach
  void anArticleThatIsReady() {
    before = BLOG.count();
    site = emptySite();
    day = site.today().plusWeeks(9);
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Eels", type, null, Map.of(), day));
    drafts.save(site, round(), "# Eels\n\nThey travel at night.", 0);
    stageMoves.move(site, 1, stage(site, "Ready"), stage(site, "Commissioned"), true);
  }

  @AfterEach
  void mendTheLine() {
    BLOG.set(Line.WORKS);
  }

  @Test
  void anHourNeedsADayToComeAndIsTakenBackLikeAnythingElse() {
    publishing.setHour(site, 1, null, EARLY);
    assertThat(round().publication().hour()).isEqualTo(EARLY);
    assertThatThrownBy(() -> publishing.setHour(site, 1, null, LocalTime.of(9, 0)))
        .isInstanceOfSatisfying(
            ConflictException.class, c -> assertThat(c.theirs()).isEqualTo("00:00"));
    undo.undoLatest(site);
    assertThat(round().publication().hour()).isNull();
    publishDates.setPublishDate(site, 1, day, site.today().minusDays(3), true);
    assertThatThrownBy(() -> publishing.setHour(site, 1, null, EARLY))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("has passed");
    publishDates.setPublishDate(site, 1, round().publishDate(), null, true);
    assertThatThrownBy(() -> publishing.setHour(site, 1, null, EARLY))
        .hasMessageContaining("no publish date yet");
  }

  @Test
  void whileItsChecklistIsOpenItStaysSetAndIsToldOnce() {
    SiteContext wim = join(site.site(), "Wim Aal", Role.EDITOR);
    naming.name(site, 1, new Naming(StepRole.EDITOR, 0, null, wim.personId()));
    long type = round().typeId();
    String none = ChecklistEdits.seen(List.of());
    checklists.set(site, type, Set.of(OwnCheck.PICTURES), "", none);
    publishing.setHour(site, 1, null, EARLY);
    passWeeks(9, 1);
    await().until(() -> round().publication().failure() != null);
    assertThat(round().stage().label()).isEqualTo("Ready");
    assertThat(round().publication().failure())
        .contains("1 item on its checklist is open", "no picture");
    jdbc.update(
        "update round set failed_at = failed_at - interval '6 minutes', attempted_at = attempted_at - interval '6 minutes' where id = ?",
        round().id());
    Instant aged = round().publication().failedAt();
    await().until(() -> round().publication().failedAt().isAfter(aged));
    assertThat(notices.of(wim.personId(), 0, 9))
        .filteredOn(notice -> notice.kind() == NoticeKind.NOT_PUBLISHED)
        .hasSize(1);
    assertThat(BLOG.count() - before).isZero();
  }

  @Test
  void itIsPublishedOnceWhenItsHourHasCome() {
    publishing.setHour(site, 1, null, EARLY);
    passWeeks(9, 1);
    await().until(() -> round().isLive());
    assertThat(BLOG.count() - before).isEqualTo(1);
    assertThat(last().sentence()).contains("went live", "after the hour set for it");
    assertThat(last().person()).isEqualTo("Una Berg");
  }

  @Test
  void anHourGoesWithItsDayAndComesBackWithIt() {
    publishing.setHour(site, 1, null, EARLY);
    publishDates.setPublishDate(site, 1, day, null, true);
    assertThat(round().publication().hour()).isNull();
    undo.undoLatest(site);
    assertThat(round().publishDate()).isEqualTo(day);
    assertThat(round().publication().hour()).isEqualTo(EARLY);
  }

  @Test
  void nothingIsDueThatIsNotReadyOrHasNoHourOrWhoseDayIsToCome() {
    publishing.setHour(site, 1, null, EARLY);
    stageMoves.move(site, 1, stage(site, "Editing"), stage(site, "Ready"), true);
    passWeeks(9, 1);
    assertThat(isDue()).isFalse();
    publishing.setHour(site, 1, EARLY, null);
    stageMoves.move(site, 1, stage(site, "Ready"), stage(site, "Editing"), true);
    assertThat(isDue()).isFalse();
    publishDates.setPublishDate(site, 1, round().publishDate(), day, true);
    publishing.setHour(site, 1, null, EARLY);
    assertThat(isDue()).isFalse();
  }

  @Test
  void aHostThatIsDownIsTriedAgainAndTheReasonStands() {
    BLOG.set(Line.DOWN);
    publishing.setHour(site, 1, null, EARLY);
    passWeeks(9, 1);
    await().until(() -> round().publication().failure() != null);
    assertThat(round().stage().label()).isEqualTo("Ready");
    assertThat(isDue()).isFalse();
    BLOG.set(Line.WORKS);
    jdbc.update(
        "update round set failed_at = failed_at - interval '6 minutes' where id = ?", round().id());
    await().until(() -> round().isLive());
    assertThat(last().sentence()).contains("after the blog host failed");
    assertThat(BLOG.count() - before).isEqualTo(1);
  }

  @Test
  void whatWasPublishedElsewhereCountsOnItsDay() {
    LocalDate before = site.today().minusDays(2);
    for (String wrong : new String[] {"", "example", "ftp://x.example/a", "javascript:alert(1)"}) {
      assertThatThrownBy(() -> publishing.wasPublishedElsewhere(site, 1, wrong, before))
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("not the address of a page");
    }
    assertThatThrownBy(
            () -> publishing.wasPublishedElsewhere(site, 1, ADDRESS, site.today().plusDays(1)))
        .hasMessageContaining("yet to come");
    publishing.wasPublishedElsewhere(site, 1, ADDRESS, before);
    assertThat(round().article().liveAddress()).isEqualTo(ADDRESS);
    assertThat(round().article().liveSimulated()).isFalse();
    assertThat(round().publication().liveOn()).isEqualTo(before);
    assertThatThrownBy(() -> publishing.wasPublishedElsewhere(site, 1, ADDRESS, before))
        .hasMessageContaining("live already");
    publishing.setLiveAddress(site, 1, ADDRESS + "-moved");
    assertThat(round().article().liveAddress()).isEqualTo(ADDRESS + "-moved");
  }

  private Round round() {
    return articles.get(site, 1);
  }

  private Entry last() {
    return history.entries(site, Asked.of(Thing.ARTICLE, 1), 0, 1).get(0);
  }

  private boolean isDue() {
    return publishing.due(Duration.ofMinutes(5), 6).stream()
        .anyMatch(due -> due.siteId() == site.siteId());
  }

  /** Moves what was set back in time, as if so much time had passed since. */
  private void passWeeks(int weeks, int days) {
    int all = weeks * 7 + days;
    jdbc.update(
        "update round set publish_date = publish_date - ?,"
            + " publish_set_at = publish_set_at - make_interval(days => ?) where id = ?",
        all,
        all,
        round().id());
  }
}
