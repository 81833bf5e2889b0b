package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;

/** A brief is written by two people at once, and its title picked on the bench by keys. */
class BriefBrowserTest extends BrowserTest {
  @Test
  void twoPeopleInOneBriefLoseNoWord() {
    String brief = base + "/articles/" + commission("Two at once") + "/brief";
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    try (Browser second = browserOf(other)) {
      browser.open(brief);
      second.open(brief);
      browser.type("#text-READER", "Readers of Una");
      saved(browser);
      second.type("#text-ANGLE", "The angle of Per");
      saved(second);
      second.type("#text-READER", "Readers of Per");
      second.keys(Keys.CONTROL, "s");
      second.waitForText(".field-says", "by Una Berg");
      assertThat(second.text(".field-says")).contains("Readers of Una");
      assertThat(second.find("#text-READER").getAttribute("value")).isEqualTo("Readers of Per");
      second.press("Keep mine");
      second.waitFor(() -> !second.has(".field-says"));
      second.waitForText("#brief-saved", "by Per Holm");
      browser.open(brief);
      assertThat(browser.find("#text-READER").getAttribute("value")).isEqualTo("Readers of Per");
      assertThat(browser.find("#text-ANGLE").getAttribute("value")).isEqualTo("The angle of Per");
      assertThat(second.errors()).allMatch(error -> error.contains("409"));
    }
  }

  @Test
  void twoPeopleInOneOutlineSeeWhatTheOtherAdded() {
    String brief = base + "/articles/" + commission("One outline") + "/brief";
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    try (Browser second = browserOf(other)) {
      browser.open(brief);
      browser.press("Add a section");
      browser.keys("The first");
      saved(browser);
      second.open(brief);
      browser.press("Add a section");
      browser.keys("Of Una");
      saved(browser);
      second.press("Add a section");
      second.keys("Of Per");
      saved(second);
      second.waitFor(() -> headings(second).contains("Of Una"));
      assertThat(headings(second)).contains("The first").contains("Of Per");
      assertThat(second.find(".outline-row:focus-within [name=heading]").getAttribute("value"))
          .isEqualTo("Of Per");
      browser.open(brief);
      assertThat(headings(browser)).contains("The first", "Of Una", "Of Per");
    }
  }

  private static String headings(Browser browser) {
    return (String)
        browser.run(
            "return [...document.querySelectorAll('.outline-heading')].map(h => h.value).join('|')");
  }

  @Test
  void aFieldThatIsRefusedSaysSoAndKeepsWhatWasTyped() {
    browser.open(base + "/articles/" + commission("Too short") + "/brief");
    browser.type("#wordsLow", "900");
    browser.keys(Keys.CONTROL, "s");
    browser.waitForText(".field-says", "both ends");
    assertThat(browser.find("#wordsLow").getAttribute("value")).isEqualTo("900");
    browser.type("#wordsHigh", "1200");
    saved(browser);
    browser.waitFor(() -> !browser.has(".field-says"));
    assertThat(browser.text("#budget")).contains("1,050");
    assertThat(browser.errors()).allMatch(error -> error.contains("422"));
  }

  @Test
  void aTitleIsPickedKeptAsPatternAndTakenAwayByKeys() {
    String brief = base + "/articles/" + commission("Eels at night") + "/brief";
    browser.open(brief);
    browser.type("#primaryKeyword", "eel fishing");
    saved(browser);
    browser.type("#new-title", "Eel fishing in 5 evenings");
    browser.keys(Keys.ENTER);
    browser.waitForText("#bench", "in 5 evenings");
    browser.type("#new-title", "Night eels");
    browser.keys(Keys.ENTER);
    browser.waitForText("#bench", "Night eels");
    browser.run("document.querySelector('.bench-row').focus()");
    browser.keys(Keys.ARROW_DOWN);
    browser.keys("p");
    browser.waitForText("#bench [role=status]", "[keyword] in [number] evenings");
    browser.run("document.querySelector('.bench-patterns').open = true");
    browser.click(".bench-patterns button");
    browser.waitForText("#bench [role=status]", "Pattern removed");
    assertThat(browser.has(".bench-patterns")).isFalse();
    browser.run("document.querySelectorAll('.bench-row')[1].focus()");
    browser.keys(Keys.ENTER);
    browser.waitForText(".bench-row.picked", "Eel fishing in 5 evenings");
    browser.run("[...document.querySelectorAll('.bench-row')].at(-1).focus()");
    browser.keys(Keys.DELETE);
    browser.waitFor(() -> !browser.text("#bench").contains("Night eels"));
    browser.open(brief);
    assertThat(browser.text("#bench")).contains("Eels at night", "Eel fishing in 5 evenings");
  }

  @Test
  void aBriefIsRefusedAndShowsWhatIsToBeChanged() {
    browser.open(base + "/articles/" + commission("Refused") + "/brief");
    browser.type("#text-READER", "Anglers");
    saved(browser);
    browser.press("Sign off");
    browser.waitForText(".article-actions", "signed off by Una Berg");
    browser.type("#text-READER", "Children");
    saved(browser);
    browser.open(browser.path());
    browser.waitForText("#changed-since", "Children");
    browser.open(browser.path().replace("/brief", "/draft"));
    browser.waitForText(".brief-changed summary", "signed it off: 1 field");
    browser.open(browser.path().replace("/draft", "/brief"));
    browser.press("Refuse");
    browser.type("#refusal", "Who else reads it?");
    browser.run("document.querySelector('.dropdown-form button.btn-primary').click()");
    browser.waitForText("#refused", "Who else reads it?");
  }
}
