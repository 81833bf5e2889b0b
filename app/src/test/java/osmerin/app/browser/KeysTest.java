package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The whole way without a mouse, and the frame's own keys. */
class KeysTest extends BrowserTest {
  @Test
  void fromPitchToPublishedWithKeysOnly() {
    browser.open(base + "/plan");
    browser.keys("+");
    browser.waitFor(() -> browser.has("#pitch-dialog[open]"));
    browser.keys("Only keys");
    browser.keys(Keys.ENTER);
    browser.waitForText("#foot", "Pitched");
    browser.waitFor(() -> !browser.has("dialog[open]"));
    browser.keys("2");
    browser.waitFor(() -> browser.path().endsWith("/pitches"));
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.ENTER);
    browser.waitForText("#drawer", "Only keys");
    browser.keys(Keys.SHIFT, Keys.ENTER);
    browser.waitFor(() -> browser.path().endsWith("/commission"));
    browser.waitFor(() -> "title".equals(browser.run("return document.activeElement.id")));
    browser.keys(Keys.ENTER);
    browser.waitForText(".stage-here", "Commissioned");

    // Found again by its name.
    browser.keys("0");
    browser.waitFor(() -> browser.path().endsWith("/desk"));
    browser.keys("f");
    browser.waitFor(() -> browser.has("#find-dialog[open]"));
    browser.keys("only");
    browser.waitForText("#found", "Only keys");
    browser.keys(Keys.ENTER);
    browser.waitForText("h1", "Only keys");

    // Renamed, dated, written.
    browser.keys(Keys.F2);
    browser.keys("Without a mouse");
    browser.keys(Keys.ENTER);
    browser.waitForText("h1", "Without a mouse");
    String article = browser.path();
    browser.keys("d");
    browser.waitFor(() -> "publish-date".equals(browser.run("return document.activeElement.id")));
    browser.keys(Keys.ESCAPE);
    browser.run("document.activeElement.blur()");
    tabTo("Draft");
    browser.keys(Keys.ENTER);
    browser.waitFor(() -> browser.path().endsWith("/draft"));
    tabTo("Draft in Markdown");
    browser.keys("# Without a mouse\n\nAll of it by hand.");
    browser.keys(Keys.CONTROL, "s");
    browser.waitForText("#foot", "Saved as version 1");
    browser.open(article);
    for (String stage : new String[] {"Briefed", "Drafting", "Editing"}) {
      browser.key(">");
      browser.waitForText(".stage-here", stage);
    }
    browser.key(">");
    browser.waitForText(".warning", "is missing something for Ready");
    tabTo("Move to Ready anyway");
    browser.keys(Keys.ENTER);
    browser.waitForText(".stage-here", "Ready");
    tabTo("Publish now");
    browser.keys(Keys.ENTER);
    browser.waitForText("#foot", "is live");
  }

  /** Presses Tab until what has this name has the focus. */
  private void tabTo(String name) {
    for (int i = 0; i < 80; i++) {
      browser.keys(Keys.TAB);
      Object focused =
          browser.run(
              "const e = document.activeElement; return e.labels?.[0]?.textContent.trim() ||"
                  + " e.textContent.trim()");
      if (name.equals(focused)) {
        return;
      }
    }
    throw new AssertionError("Tab never comes to " + name);
  }

  @Test
  void theDrawerShowsARowKeepsTheListAndItsAddress() {
    String first = commission("A blue bowl");
    commission("A red bowl");
    browser.open(base + "/articles?q=blue");
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.ENTER);
    browser.waitForText("#drawer h2", "A blue bowl");
    assertThat(browser.path()).contains("/articles?q=blue#open=/articles/" + first);
    browser.keys(">");
    browser.waitForText("#drawer .stage-name", "Briefed");
    browser.waitForText("#foot", "is at Briefed now");
    assertThat(browser.path()).contains("q=blue");
    assertThat(browser.text("main .ledger")).doesNotContain("A red bowl");
    browser.open(browser.path());
    browser.waitForText("#drawer h2", "A blue bowl");
    browser.keys(Keys.ESCAPE);
    browser.waitFor(() -> !browser.has("#drawer:not([hidden])"));
    assertThat(browser.path()).doesNotContain("#open");
  }

  @Test
  void anImpossibleDateInTheDrawerIsSaidThereAndTheListStays() {
    commission("Too soon");
    browser.open(base + "/articles");
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.ENTER);
    browser.waitForText("#drawer h2", "Too soon");
    browser.date("#drawer-publish-date", site.today().plusDays(1).toString());
    browser.click("#drawer form[action$='publish-date'] button.btn");
    browser.waitForText("#drawer [data-said]", "cannot be published on");
    assertThat(browser.has("main .ledger")).isTrue();
    browser.click("#drawer [data-said] .btn-primary");
    browser.waitForText("#foot", "is to be published on");
    browser.waitFor(() -> browser.path().contains("/articles#open"));
  }

  @Test
  void aValueInARowIsEditedInPlaceAndEscLeavesIt() {
    commission("A bowl");
    browser.open(base + "/articles");
    browser.keys(Keys.ARROW_DOWN);
    browser.keys(Keys.F2);
    browser.waitFor(() -> browser.has(".edit-form:not([hidden]) [name=date]"));
    browser.keys(Keys.ESCAPE);
    browser.waitFor(() -> !browser.has(".edit-form:not([hidden])"));
    browser.keys(Keys.F2);
    browser.date(".edit-form:not([hidden]) [name=date]", site.today().plusWeeks(8).toString());
    browser.keys(Keys.ENTER);
    browser.waitForText("#foot", "is to be published on");
    assertThat(browser.path()).isEqualTo(base + "/articles");
  }

  @Test
  void singleKeysCanBeSwitchedOff() {
    browser.open(base + "/account");
    browser.click("[name=singleKeys]");
    browser.press("Save");
    browser.waitForText("#foot", "Your settings are saved");
    browser.key("4");
    browser.key("f");
    assertThat(browser.has("dialog[open]")).isFalse();
    assertThat(browser.path()).endsWith("/account");
  }

  @Test
  void colourFollowsThePersonNotTheMachine() {
    browser.open(base + "/plan");
    browser.click(".initials");
    browser.click(".menu-theme button[value=DARK]");
    browser.waitFor(() -> browser.has("html[data-theme=dark]"));
    assertThat(browser.run("return getComputedStyle(document.body).backgroundColor"))
        .isEqualTo("rgb(20, 32, 31)");
    assertThat(browser.path()).contains("/plan");
  }

  @Test
  void helpListsTheKeysAndCommandsAreRunFromFind() {
    browser.open(base + "/plan");
    browser.key("h");
    browser.waitForText("#keys-dialog", "undo the last change");
    browser.keys(Keys.ESCAPE);
    browser.key("f");
    // Enter before anything is found goes to what was typed, not to what stood there.
    browser.keys("invite");
    browser.keys(Keys.ENTER);
    browser.waitFor(() -> browser.path().endsWith("/team"));
    browser.key("f");
    browser.keys("no such thing");
    browser.waitForText("#found", "Nothing here has");
  }
}
