package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Undo from the foot, by key and from history: a move, a date, a bulk change, an import. */
class UndoTest extends BrowserTest {
  @Test
  void aMoveAndADateAreTakenBackAndDoneAgain() {
    String number = commission("A slip");
    browser.key(">");
    browser.waitForText(".stage-here", "Briefed");
    browser.click("#foot .foot-undo");
    browser.waitForText(".stage-here", "Commissioned");
    browser.waitForText("#foot", "Undone: " + number + " moved");
    browser.click("#foot .foot-undo");
    browser.waitForText(".stage-here", "Briefed");

    YearMonth month = YearMonth.from(site.today()).plusMonths(2);
    LocalDate tuesday = month.atDay(8).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
    browser.date("#publish-date", tuesday.toString());
    browser.press("Set");
    browser.waitForText("#foot", "is to be published on");
    browser.open(base + "/plan/" + month + "/calendar");
    browser.run("document.querySelector(arguments[0]).focus()", ".slip a");
    browser.keys(Keys.SHIFT, Keys.ARROW_RIGHT);
    browser.waitForText("[data-day='" + tuesday.plusDays(1) + "']", "A slip");
    browser.waitForText("#foot", "moved to");
    browser.run("document.activeElement.blur()");
    browser.keys(Keys.CONTROL, "z");
    browser.waitForText("[data-day='" + tuesday + "']", "A slip");
    assertThat(browser.path()).endsWith("/calendar");
  }

  @Test
  void signingOffIsUndoneAsOneAndSmallSavesAreOneLine() {
    String number = commission("A lidded jar");
    write(number, "# A lidded jar\n\nOne.");
    write(number, " Two.");
    write(number, " Three.");
    browser.open(base + "/articles/" + number + "/brief");
    browser.type("#text-READER", "Potters");
    saved(browser);
    browser.press("Sign off");
    browser.waitForText(".article-actions", "signed off by");
    browser.waitForText(".stage-here", "Briefed");
    browser.open(base + "/history");
    browser.waitForText(".history", "Version 3 of the draft of " + number);
    assertThat(browser.text(".history")).contains("and 2 more like it").doesNotContain("Version 2");
    browser.keys(Keys.CONTROL, "z");
    browser.waitForText("#foot", "Undone: The brief of " + number);
    browser.open(base + "/articles/" + number);
    browser.waitForText(".stage-here", "Commissioned");
  }

  @Test
  void theKeyTakesOneStepAfterTheOtherBackAndWithShiftDoesThemAgain() {
    commission("Steps");
    browser.key(">");
    browser.waitForText(".stage-here", "Briefed");
    browser.key(">");
    browser.waitForText(".stage-here", "Drafting");
    browser.keys(Keys.CONTROL, "z");
    browser.waitForText(".stage-here", "Briefed");
    browser.keys(Keys.CONTROL, "z");
    browser.waitForText(".stage-here", "Commissioned");
    browser.keys(Keys.CONTROL, Keys.SHIFT, "z");
    browser.waitForText(".stage-here", "Briefed");
    browser.keys(Keys.CONTROL, Keys.SHIFT, "z");
    browser.waitForText(".stage-here", "Drafting");
    browser.keys(Keys.CONTROL, "z");
    browser.waitForText(".stage-here", "Briefed");
    browser.key(">");
    browser.waitForText(".stage-here", "Drafting");
    browser.keys(Keys.CONTROL, Keys.SHIFT, "z");
    browser.waitForText("main", "You have nothing to redo");
  }

  @Test
  void whatHasSomethingNewerOnItSaysWhat() {
    String number = commission("Twice");
    browser.click("h1 [data-edit-open]");
    browser.type("h1 [name=title]", "Second");
    browser.keys(Keys.ENTER);
    browser.waitForText("h1", "Second");
    browser.open(base + "/history");
    String second = undoOf("was renamed to “Second”");
    browser.open(base + "/articles/" + number);
    browser.click("h1 [data-edit-open]");
    browser.type("h1 [name=title]", "Third");
    browser.keys(Keys.ENTER);
    browser.waitForText("h1", "Third");
    browser.open(base + "/history");
    assertThat(browser.has("form[action='" + second + "']")).isFalse();
    browser.run(
        "const f = document.createElement('form'); f.method = 'post'; f.action = arguments[0];"
            + " f.append(document.querySelector('[name=_csrf]').cloneNode()); document.body.append(f);"
            + " f.submit()",
        second);
    browser.waitForText("main", "A later change depends on this");
    assertThat(browser.text("main")).contains("“Third”", "Una Berg", "Undo that first");
  }

  private String undoOf(String sentence) {
    return (String)
        browser.run(
            "return [...document.querySelectorAll('.history > li')].find(li =>"
                + " li.textContent.includes(arguments[0])).querySelector('form').getAttribute('action')",
            sentence);
  }

  @Test
  void aBulkChangeIsOneEntryAndIsTakenBackAtOnce() {
    for (String title : new String[] {"One", "Two", "Three"}) {
      commission(title);
    }
    browser.open(base + "/articles");
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.SPACE);
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.SPACE);
    browser.waitForText("[data-bulk]", "2 marked");
    browser.choose("#bulk-what", "Stage");
    browser.choose("[data-bulk-for=STAGE]", "Drafting");
    browser.press("Change");
    browser.waitForText("#foot", "2 articles moved to Drafting");
    browser.waitFor(() -> browser.count(".ledger .glyph[aria-label=Drafting]") == 2);
    browser.click("#foot .foot-undo");
    browser.waitFor(() -> browser.count(".ledger .glyph[aria-label=Commissioned]") == 3);
    browser.click("[data-mark-all]");
    browser.choose("#bulk-what", "Move by days");
    browser.press("Change");
    browser.waitForText(".warning", "3 articles were left as they are");
    assertThat(browser.text(".warning")).contains("has no date to move");
    browser.click("[data-mark-all]");
    browser.choose("#bulk-what", "Archive");
    browser.press("Change");
    browser.waitForText("main", "No article yet");
    browser.open(base + "/archive");
    browser.waitForText(".ledger", "Two");
    browser.open(base + "/history");
    browser.press("Undo");
    browser.waitForText("#foot", "Undone: 3 articles archived");
    browser.open(base + "/articles");
    browser.waitForText(".ledger", "Two");
  }

  @Test
  void anImportIsTakenBackUnlessALaterOneHoldsTheSame() {
    importSample();
    String first = browser.path();
    browser.waitForText(".history", "was imported");
    importSample();
    browser.waitForText(".figures", "1,277");
    browser.open(first);
    browser.press("Undo");
    browser.waitForText("[data-said]", "contains 1,277 keywords of it. Undo that import first");
    browser.open(base + "/history");
    browser.press("Undo");
    browser.waitForText("#foot", "Undone: marlpit-keywords.csv was imported");
    browser.open(base + "/research");
    browser.waitForText(".lead", "1,277 keywords");
    browser.open(first);
    browser.press("Undo");
    browser.waitForText(".said", "This import was undone");
    browser.open(base + "/research");
    browser.waitForText("main", "Nothing here yet");
  }

  private void importSample() {
    browser.open(base + "/research/import");
    browser.upload("#file", SAMPLE);
    browser.press("Preview");
    browser.waitForText("main", "The first 20 rows");
    browser.press("Import");
    browser.waitForWork(".figures", "rows");
  }
}
