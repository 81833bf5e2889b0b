package osmerin.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

class ArticleLedgerTest extends ApplicationTest {
  @Autowired private ArticleLedger ledger;
  @Autowired private ArticleService articles;
  @Autowired private ArticleEdits edits;
  @Autowired private ArticleTypeService types;

  private SiteContext site;

  @BeforeEach
  void setUp() {
    site = emptySite();
  }

  @Test
  void itFiltersSortsAndPages() {
    for (int i = 0; i < 55; i++) {
      commission("Article " + i, i == 7 ? site.today().plusWeeks(8) : null);
    }
    commission("A 100 % wool felt", null);
    LedgerPage first = ledger.page(site, filter(null, null, null, "title", 1));
    assertThat(first.total()).isEqualTo(56);
    assertThat(first.rows()).hasSize(50);
    assertThat(first.rows().get(0).round().title()).isEqualTo("A 100 % wool felt");
    assertThat(ledger.page(site, filter(null, null, null, "title", 2)).rows()).hasSize(6);
    assertThat(ledger.page(site, filter("100 %", null, null, null, 1)).total()).isEqualTo(1);
    assertThat(ledger.page(site, filter("%", null, null, null, 1)).total()).isEqualTo(1);
    String number = site.site().prefix().toLowerCase() + "-9";
    assertThat(ledger.page(site, filter(number, null, null, null, 1)).rows())
        .singleElement()
        .satisfies(p -> assertThat(p.round().article().number()).isEqualTo(9));
    assertThat(ledger.page(site, filter(null, null, "none", null, 1)).total()).isEqualTo(55);
    assertThat(ledger.page(site, filter(null, "SET", null, null, 1)).total()).isZero();
    assertThat(ledger.page(site, filter(null, "nonsense", "2026-99", "wild", -4)).total())
        .isEqualTo(56);
  }

  @Test
  void itShowsATypeAKindOrDaysThatMove() {
    commission("Soon", site.today().plusDays(5));
    commission("Later", site.today().plusDays(25));
    commission("Some day", null);
    String post = String.valueOf(postType());
    String guide = String.valueOf(types.list(site.siteId(), Kind.NEW).get(1).id());
    assertThat(found(post, null)).isEqualTo(3);
    assertThat(found(guide, null)).isZero();
    assertThat(found("NEW", null)).isEqualTo(3);
    assertThat(found("REFRESH", null)).isZero();
    assertThat(found(null, "COMING_WEEK")).isEqualTo(1);
    assertThat(found(null, "COMING_THREE_WEEKS")).isEqualTo(1);
    assertThat(found("NEW", "COMING_QUARTER")).isEqualTo(2);
    assertThat(found(null, "LAST_FOUR_WEEKS")).isZero();
  }

  @Test
  void itShowsWhoseTurnItIs() {
    Round round = commission("Turns", site.today().plusWeeks(9));
    assertThat(next("START")).isEqualTo(1);
    assertThat(next("Write the brief")).isEqualTo(1);
    assertThat(next("Write the draft")).isZero();
    assertThat(next("MINE")).isZero();
    edits.tick(site, round.article().number(), "brief", true);
    assertThat(next("MINE")).isEqualTo(1);
    assertThat(next("Write the brief")).isZero();
    assertThat(next("Write the draft")).isEqualTo(1);
    assertThat(next("nonsense")).isZero();
  }

  private long next(String next) {
    ArticleFilter filter =
        new ArticleFilter(null, null, null, null, null, null, next, null, null, null, null);
    return ledger.page(site, filter).total();
  }

  private long found(String type, String month) {
    ArticleFilter filter =
        new ArticleFilter(null, null, null, type, month, null, null, null, null, null, null);
    return ledger.page(site, filter).total();
  }

  private static ArticleFilter filter(String q, String stage, String month, String sort, int page) {
    return new ArticleFilter(q, stage, null, null, month, null, null, null, sort, page, null);
  }

  private Round commission(String title, LocalDate date) {
    return articles.commission(
        site,
        new Commission(title, postType(), null, Map.of(StepRole.WRITER, site.personId()), date));
  }

  private long postType() {
    return types.list(site.siteId(), Kind.NEW).get(0).id();
  }
}
