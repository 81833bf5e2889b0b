package osmerin.app.holds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.desk.Desk;
import osmerin.app.desk.DeskService;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.UndoService;
import osmerin.app.ledger.ArticleFilter;
import osmerin.app.ledger.ArticleLedger;
import osmerin.app.notices.Notices;
import osmerin.app.plan.Month;
import osmerin.app.plan.MonthService;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Publishing;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.article.Standing;
import osmerin.core.runup.StepRole;

/**
 * An article on hold is not late, on no desk, not promised and not published, until it is freed.
 */
class HoldsTest extends ApplicationTest {
  @Autowired private Holds holds;
  @Autowired private ArticleService articles;
  @Autowired private ArticleLedger ledger;
  @Autowired private DeskService desks;
  @Autowired private MonthService months;
  @Autowired private DraftService drafts;
  @Autowired private PublishService publishing;
  @Autowired private UndoService undo;
  @Autowired private Notices notices;
  @Autowired private Publishing hours;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;
  private SiteContext writer;
  private int number;

  @BeforeEach
  void aLateArticle() {
    site = emptySite();
    writer = join(site.site(), "Wim Aal", Role.WRITER);
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, writer.personId());
    number =
        articles
            .commission(site, new Commission("Eels", post, null, people, site.today()))
            .article()
            .number();
  }

  private Round round() {
    return articles.get(site, number);
  }

  private Standing.State state() {
    return articles.page(site, number, null).planned().standing().state();
  }

  private Month month() {
    return months.month(site, YearMonth.from(site.today()));
  }

  private Desk desk(SiteContext person) {
    return desks.desk(person, month());
  }

  @Test
  void it_is_neither_late_nor_promised_nor_on_a_desk_until_it_is_freed() {
    assertThat(state()).isEqualTo(Standing.State.IMPOSSIBLE);
    int before = month().newArticles().lost() + month().newArticles().atRisk();
    assertThat(before).isEqualTo(1);

    holds.hold(writer, number, " a  quote from the eel man ", null, null);

    assertThat(state()).isEqualTo(Standing.State.ON_HOLD);
    assertThat(round().hold().reason()).isEqualTo("a quote from the eel man");
    assertThat(month().newArticles().held()).isEqualTo(1);
    assertThat(month().newArticles().lost() + month().newArticles().atRisk()).isZero();
    assertThat(desk(writer).today()).isEmpty();
    assertThat(desk(writer).onHold()).hasSize(1);
    ArticleFilter onHold =
        new ArticleFilter(null, "HOLD", null, null, null, null, null, null, null, null, null);
    assertThat(ledger.page(site, onHold).rows()).hasSize(1);
    assertThatThrownBy(() -> holds.free(writer, number)).isInstanceOf(ForbiddenException.class);
    holds.free(site, number);
    assertThat(state()).isEqualTo(Standing.State.IMPOSSIBLE);
    assertThat(ledger.page(site, onHold).rows()).isEmpty();
  }

  @Test
  void holding_and_freeing_are_undone() {
    LocalDate until = site.today().plusDays(9);
    holds.hold(site, number, "a quote", writer.personId(), until);
    undo.undoLatest(site);
    assertThat(round().hold()).isNull();
    undo.redoLatest(site);
    assertThat(round().hold().until()).isEqualTo(until);
    assertThat(notices.countUnread(writer.personId())).isGreaterThan(0);
    holds.free(writer, number);
    assertThat(round().hold()).isNull();
    undo.undoLatest(writer);
    assertThat(round().hold().reason()).isEqualTo("a quote");
  }

  @Test
  void nothing_on_hold_is_published() {
    stageMoves.move(site, number, stage(site, "Ready"), stage(site, "Commissioned"), true);
    drafts.save(site, round(), "Words.", 0);
    holds.hold(site, number, "a picture", null, null);

    assertThatThrownBy(() -> publishing.publish(site, number, Wish.BY_HAND))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("is on hold: a picture. Free it first.");
  }

  @Test
  void an_hour_that_passes_while_it_is_on_hold_waits_for_somebody_once_it_is_freed() {
    stageMoves.move(site, number, stage(site, "Ready"), stage(site, "Commissioned"), true);
    drafts.save(site, round(), "Words.", 0);
    holds.hold(site, number, "a picture", site.personId(), null);
    jdbc.update(
        "update round set publish_date = current_date - 1, publish_hour = '09:00',"
            + " publish_by = hold_free_by, publish_set_at = now() - interval '5 days' where id = ?",
        round().id());

    holds.free(site, number);

    assertThat(hours.due(Duration.ofMinutes(1), 3)).noneMatch(due -> due.siteId() == site.siteId());
  }

  @Test
  void nonsense_and_strangers_are_refused() {
    for (String reason : new String[] {"", "  ", "x".repeat(201)}) {
      assertThatThrownBy(() -> holds.hold(site, number, reason, null, null))
          .isInstanceOf(RefusedException.class);
    }
    assertThatThrownBy(() -> holds.hold(site, number, "a quote", null, site.today()))
        .isInstanceOf(RefusedException.class);
    SiteContext other = join(site.site(), "Ola Ek", Role.WRITER);
    assertThatThrownBy(() -> holds.hold(other, number, "a quote", null, null))
        .isInstanceOf(ForbiddenException.class);
    assertThat(round().hold()).isNull();
  }
}
