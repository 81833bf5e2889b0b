package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import osmerin.app.platform.web.In;

/** The calendar by drag and by keys, the ledger's address, and the frame. */
class PlanTest extends BrowserTest {
  @Test
  void slipsMoveByKeysAndByDrag() {
    String number = commission("A slip to move");
    YearMonth month = YearMonth.from(site.today()).plusMonths(2);
    LocalDate tuesday = month.atDay(8).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
    browser.date("#publish-date", tuesday.toString());
    browser.press("Set");
    browser.waitForText("#foot", "is to be published on");
    browser.open(base + "/plan/" + month + "/calendar");
    String slip = ".slip[data-number='" + number + "']";
    browser.run("document.querySelector(arguments[0]).focus()", slip + " a");
    browser.keys(Keys.SHIFT, Keys.ARROW_RIGHT);
    browser.waitForText("[data-day='" + tuesday.plusDays(1) + "']", "A slip to move");
    browser.waitFor(
        () -> (Boolean) browser.run("return document.activeElement.closest('.slip') !== null"));
    browser.keys(Keys.SHIFT, Keys.ARROW_DOWN);
    LocalDate later = tuesday.plusDays(8);
    browser.waitForText("[data-day='" + later + "']", "A slip to move");
    browser.hold(browser.find(slip), browser.find("[data-day='" + tuesday + "']"));
    browser.waitForText(".calendar-move", "If it went live on " + In.day(tuesday));
    browser.waitForText(".calendar-move", "now due");
    browser.letGo();
    // Dropped it lies there at once; the page that the server then sends knows its date.
    browser.waitFor(() -> browser.has(slip + "[data-from='" + tuesday + "']"));
    browser.run("document.querySelector(arguments[0]).focus()", slip + " a");
    browser.keys(Keys.DELETE);
    browser.waitForText("[data-undated]", "A slip to move");
  }

  @Test
  void theLedgersFiltersStandInTheAddressAndTheBackButtonIsTrue() {
    commission("A blue bowl");
    commission("A red bowl");
    browser.open(base + "/articles");
    browser.type("#q", "blue");
    browser.keys(Keys.ENTER);
    browser.waitFor(() -> browser.path().contains("q=blue"));
    browser.waitFor(() -> !browser.text("main .ledger").contains("A red bowl"));
    browser.click(".ledger thead th:nth-child(4) a");
    browser.waitFor(() -> browser.path().contains("sort=title"));
    assertThat(browser.path()).contains("q=blue");
    browser.back();
    browser.waitFor(() -> !browser.path().contains("sort=title"));
    browser.open(base + "/plan");
    browser.key("4");
    browser.waitFor(() -> browser.path().contains("q=blue"));
    browser.press("Clear");
    browser.waitForText("main .ledger", "A red bowl");
  }

  @Test
  void theTidelineTurnsTheMonthOnAnyPage() {
    browser.open(base + "/research");
    String now = browser.text(".tide-name");
    browser.key("]");
    browser.waitFor(() -> !browser.text(".tide-name").equals(now));
    browser.key("[");
    browser.waitForText(".tide-name", now);
    assertThat(browser.path()).isEqualTo(base + "/research");
  }

  @Test
  void aLostSessionLeadsToTheSignInPageAndBackToAWholePage() {
    browser.open(base + "/research");
    browser.forgetSession();
    browser.key("]");
    browser.waitFor(() -> browser.path().startsWith("/sign-in"));
    browser.signIn(site.person().login(), PASSWORD);
    browser.waitForText("main", "Nothing here yet");
    assertThat(browser.path()).isEqualTo(base + "/research");
    assertThat(browser.errors()).allMatch(error -> error.contains("401"));
  }

  @Test
  void aChangeThatIsRefusedSaysSoAtTheFoot() {
    browser.open(base + "/plan");
    browser.run("document.body.setAttribute('hx-headers', '{}')");
    browser.run("document.querySelectorAll('input[name=_csrf]').forEach(i => (i.value = 'stale'))");
    browser.press("Set");
    browser.waitForText("#foot", "That was not done (403)");
    assertThat(browser.errors()).allMatch(error -> error.contains("403"));
  }

  @Test
  void keysDoNothingWhileSomebodyTypes() {
    browser.open(base + "/articles");
    browser.type("#q", "1+[5");
    assertThat(browser.find("#q").getAttribute("value")).isEqualTo("1+[5");
    assertThat(browser.path()).startsWith(base + "/articles");
    assertThat(browser.has("dialog[open]")).isFalse();
  }

  @Test
  void aDateIsTypedAsPeopleSayItOrChosenInTheCalendarByKeys() {
    String number = commission("Dated");
    LocalDate day = site.today().plusDays(40);
    browser.type("#publish-date", "+40");
    browser.keys(Keys.TAB);
    browser.waitFor(
        () ->
            browser
                .find("#publish-date")
                .getAttribute("value")
                .equals(In.dayField(day, site.today())));
    browser.press("Set");
    browser.waitForText("#foot", number + " is to be published on " + In.day(day));

    browser.run("document.querySelector('#publish-date').focus()");
    browser.keys(Keys.ARROW_DOWN);
    browser.waitFor(() -> browser.has(".month-box [tabindex='0']"));
    browser.keys(Keys.ARROW_RIGHT);
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.ENTER);
    LocalDate later = day.plusDays(8);
    browser.waitFor(
        () ->
            browser
                .find("#publish-date")
                .getAttribute("value")
                .equals(In.dayField(later, site.today())));
    assertThat(browser.has(".month-box")).isFalse();
    browser.press("Set");
    browser.waitForText("#foot", "is to be published on " + In.day(later));

    slowAnswersLeaveNewerTyping();
    browser.type("#publish-date", "the day after");
    browser.keys(Keys.TAB);
    browser.waitForText(
        "main", "“the day after” is not a day. Type a day such as 8 dec, tue or +5.");
    browser.press("Set");
    browser.waitForText("main", "That was not done");
  }

  private void slowAnswersLeaveNewerTyping() {
    browser.run(
        "window.quick = window.fetch; window.fetch = (...a) => window.quick(...a).then(r => new"
            + " Promise(done => setTimeout(() => { window.answered = true; done(r); }, 700)));"
            + "const day = document.querySelector('#publish-date'); day.value = '+5';"
            + "day.dispatchEvent(new Event('change', {bubbles: true})); day.value = '+6';");
    browser.waitFor(() -> Boolean.TRUE.equals(browser.run("return window.answered === true")));
    browser.run("return new Promise(done => setTimeout(done, 200))");
    assertThat(browser.find("#publish-date").getAttribute("value")).isEqualTo("+6");
    browser.run("window.fetch = window.quick");
  }
}
