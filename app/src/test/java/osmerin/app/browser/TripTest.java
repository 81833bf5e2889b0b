package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The whole trip: from a keyword file to a published and later refreshed article that counts. */
class TripTest extends BrowserTest {
  @Test
  void fromAKeywordFileToARefreshedArticleThatCounts() {
    browser.open(base + "/plan");
    setTargets();
    importResearch();
    String number = commissionFromAGroup();
    writeTheBrief(number);
    planIt(number);
    draftIt(number);
    String address = publishIt(number);
    refreshIt(number, address);
    lookAtTheMonth(number);
  }

  private void setTargets() {
    assertThat(browser.text("#tideline")).contains("no target");
    browser.type("#newArticles", "2");
    browser.type("#refreshes", "1");
    browser.press("Set");
    browser.waitForText("#tideline", "new 0 of 2, 2 missing");
    browser.waitForText(".pace", "short by 2");
  }

  private void importResearch() {
    browser.key("1");
    browser.waitForText("main", "Nothing here yet");
    browser.press("Import the first file");
    browser.upload("#file", SAMPLE);
    browser.press("Preview");
    browser.waitForText("main", "The first 20 rows");
    assertThat(browser.find("select[name=columns]").getAttribute("value")).isEqualTo("KEYWORD");
    browser.press("Import");
    browser.waitForWork(".figures", "1,277");
    browser.press("See the topics");
    browser.waitForText("main .lead", "1,277 keywords");
    assertThat(browser.text("#areas")).contains("open");
  }

  private String commissionFromAGroup() {
    browser.click(".spot");
    browser.press("Open the topic");
    browser.click(".ledger a.title");
    browser.waitForText(".ledger", "most searches");
    assertThat(browser.text(".ledger")).contains("shared with the primary keyword");
    browser.press("Commission an article");
    browser.choose("#role-writer", "Una Berg");
    browser.press("Commission");
    browser.waitForText(".stage-here", "Commissioned");
    String number = browser.path().substring(browser.path().lastIndexOf('/') + 1);
    assertThat(number).isEqualTo(site.site().prefix() + "-0001");
    // The same group once more is warned about, with the other article's number.
    browser.open(base + "/research/table");
    browser.click(".ledger a.title");
    browser.click(".ledger a.title");
    browser.press("Commission an article");
    browser.waitForText(".warning", number);
    browser.click("main form > .btn-primary");
    browser.waitForText(".warning", "Tick the box");
    return number;
  }

  private void writeTheBrief(String number) {
    browser.open(base + "/articles/" + number + "/brief");
    assertThat(browser.find("#primaryKeyword").getAttribute("value")).isNotEmpty();
    assertThat(browser.find("#secondary").getAttribute("value")).isNotEmpty();
    browser.type("#new-title", "W".repeat(60));
    browser.press("Add");
    browser.waitForText("#bench", "is cut off");
    browser.type("#new-title", "What a working title should be");
    browser.press("Add");
    browser.waitForText("#bench", "What a working title should be");
    browser.run("[...document.querySelectorAll('.bench-row')].at(-1).focus()");
    browser.keys(Keys.ENTER);
    browser.waitForText(".bench-row.picked", "What a working title should be");
    browser.type("#text-READER", "People at the wheel");
    browser.press("Add a section");
    browser.keys("Second thoughts");
    browser.keys(Keys.ENTER);
    browser.keys("First things");
    browser.keys(Keys.ALT, Keys.ARROW_UP);
    browser.press("Add a section");
    browser.keys("A detail");
    browser.keys(Keys.ALT, Keys.ARROW_RIGHT);
    saved(browser);
    assertThat(
            browser.run(
                "return [...document.querySelectorAll('.outline-heading')].map(h => h.value + h.closest('li').dataset.depth).join()"))
        .isEqualTo("First things0,Second thoughts0,A detail1");
    browser.press("Get evidence");
    browser.waitForText(".panel", "simulated");
    browser.waitForText(".panel", "10 pages for");
    browser.press("Headings");
    String heading = browser.text("[data-said-list=headings] [data-pull] .said-text");
    browser.click("[data-said-list=headings] [data-take]");
    saved(browser);
    browser.press("Points");
    String point = browser.text("[data-said-list=points] [data-pull]:has([data-take]) .said-text");
    browser.click("[data-said-list=points] [data-take]");
    saved(browser);
    assertThat(
            browser.run(
                "const row = document.querySelector('.outline').lastElementChild; return"
                    + " row.querySelector('[name=heading]').value + '|' + row.querySelector('[name=note]').value"))
        .isEqualTo(heading + "|" + point);
    browser.open(base + "/articles/" + number + "/brief/print");
    browser.waitForText(".paper", "People at the wheel");
    assertThat(browser.text(".paper")).contains("A detail", "words");
  }

  private void planIt(String number) {
    browser.open(base + "/articles/" + number + "?as=table");
    LocalDate date = site.today().plusWeeks(5).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    browser.date("#publish-date", date.toString());
    browser.press("Set");
    browser.waitForText("#foot", "is to be published on");
    String due = browser.text(".ledger tbody tr:nth-child(2) .date");
    browser.date("#publish-date", date.plusWeeks(1).toString());
    browser.press("Set");
    browser.waitFor(() -> !browser.text(".ledger tbody tr:nth-child(2) .date").equals(due));
    browser.click(".tick");
    browser.waitForText(".ledger tbody tr", "done");
  }

  private void draftIt(String number) {
    browser.open(base + "/articles/" + number + "/draft");
    browser.type("#text", "# A title\n\nSome words.\n\n#### Too deep\n\n## First things\n\nMore.");
    browser.waitForText("#check", "jumps from level 1 to 4");
    browser.waitForText("#check", "1 of 4 sections");
    assertThat(browser.text("#check")).contains("absent");
    browser.press("Preview");
    browser.waitForText("#preview", "Some words.");
    browser.press("Write");
    browser.press("Save");
    browser.waitForText("#foot", "Saved as version 1");
    browser.type("#text", "# A title\n\nSome better words.");
    browser.press("Save");
    browser.waitForText("#foot", "Saved as version 2");
    browser.press("Versions");
    browser.press("Version 1");
    browser.waitForText(".prose", "Some words.");
  }

  private String publishIt(String number) {
    moveToReady(number);
    assertThat(browser.text(".history")).contains("from Editing to Ready", "Una Berg");
    browser.press("Publish now");
    browser.waitForText("#foot", "is live");
    browser.waitForText(".address", "simulated");
    return browser.find(".address a").getAttribute("href");
  }

  private void refreshIt(String number, String address) {
    LocalDate date = site.today().plusWeeks(3).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    browser.choose("#depth", "rework, 8.5 h");
    browser.date("#refresh-date", date.toString());
    browser.press("Open a refresh");
    browser.waitForText(".above", "round 2");
    browser.open(base + "/articles/" + number + "/draft");
    assertThat(browser.find("#text").getAttribute("value")).contains("Some better words.");
    browser.type("#text", "# A title\n\nWords of the second round.");
    browser.press("Save");
    browser.waitForText("#foot", "Saved as version 2");
    browser.open(base + "/articles/" + number + "/brief");
    assertThat(browser.find("#text-READER").getAttribute("value")).isEqualTo("People at the wheel");
    moveToReady(number);
    browser.press("Publish now");
    browser.waitForText("#foot", "is live");
    assertThat(browser.find(".address a").getAttribute("href")).isEqualTo(address);
    browser.press("Round 1");
    browser.waitForText(".said", "round 1");
    browser.press("Draft");
    browser.waitForText(".prose", "Some better words.");
  }

  private void lookAtTheMonth(String number) {
    browser.open(base + "/plan/" + YearMonth.from(site.today()));
    browser.waitForText("#tideline", "new 1 of 2, 1 missing");
    assertThat(browser.text("#tideline")).contains("refreshed 1 of 1");
    assertThat(browser.text(".ledger")).contains(number, "live");
    browser.key("5");
    browser.waitForText("main", "1 article published");
  }
}
