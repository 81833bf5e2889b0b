package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.follows.Follows;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;

/** An article waits and is freed by its key; a date follows another that is dragged. */
class HoldsBrowserTest extends BrowserTest {
  @Autowired private ArticleService articles;
  @Autowired private Follows follows;

  private Round ordered(String title, LocalDate day) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    return articles.commission(site, new Commission(title, post, null, Map.of(), day));
  }

  @Test
  void anArticleIsPutOnHoldAndFreedByItsKey() {
    Round eels = ordered("Eels", site.today().plusWeeks(9));
    browser.open(base + "/articles/" + eels.reference());
    browser.run("document.querySelector('#hold-reason').closest('details').open = true");
    browser.type("#hold-reason", "the answer of the weir keeper");
    browser.press("Put on hold");
    browser.waitForText(".warning", "the answer of the weir keeper");
    browser.open(base + "/articles?stage=HOLD");
    browser.waitForText(".ledger", "on hold");
    browser.open(base + "/articles/" + eels.reference());
    browser.key("o");
    browser.waitFor(() -> articles.get(site, 1).hold() == null);
    browser.waitFor(() -> !browser.has("main .warning"));
  }

  @Test
  void aDateThatFollowsMovesWhenTheOtherIsDragged() {
    YearMonth month = YearMonth.from(site.today()).plusMonths(2);
    LocalDate tuesday = month.atDay(8).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
    Round first = ordered("Eels", tuesday);
    Round second = ordered("Elvers", tuesday.plusDays(1));
    follows.set(site, 2, "2 working days after " + first.reference(), true);
    assertThat(articles.get(site, 2).publishDate()).isEqualTo(tuesday.plusDays(2));
    browser.open(base + "/plan/" + month + "/calendar");
    String slip = ".slip[data-number='" + first.reference() + "']";
    LocalDate wednesday = tuesday.plusDays(8);
    browser.drag(browser.find(slip), browser.find("[data-day='" + wednesday + "']"));
    browser.waitForText("[data-day='" + wednesday.plusDays(2) + "']", "Elvers");
    assertThat(articles.get(site, 2).publishDate()).isEqualTo(wednesday.plusDays(2));
    browser.click("#foot .foot-undo");
    browser.waitForText("[data-day='" + tuesday.plusDays(2) + "']", "Elvers");
    browser.open(base + "/articles/" + second.reference());
    browser.waitForText("main", "2 working days after " + first.reference());
  }
}
