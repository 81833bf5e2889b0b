package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A brief is shared by link; a draft is checked and handed in; the link is revoked while open. */
class SharedBriefBrowserTest extends BrowserTest {
  @Test
  void aDraftComesBackByLinkUntilTheLinkIsRevoked() {
    String number = commission("Eels at night");
    String brief = base + "/articles/" + number + "/brief";
    browser.open(brief);
    browser.type("#text-READER", "People who fish");
    saved(browser);
    browser.open(brief + "/links");
    browser.type("#whom", "Ines Molnar");
    browser.press("Create link");
    browser.waitForText(".ledger", "not yet");
    String link = browser.find(".share-address").getAttribute("value");
    try (Browser reader = new Browser("http://127.0.0.1:" + port)) {
      reader.open(link.replaceFirst("^https?://[^/]+", ""));
      assertThat(reader.text("main")).contains("a brief for Ines Molnar", "People who fish");
      reader.type("#text", "# Eels at night\n\nThey come when the lamp is out.");
      reader.press("Check it against the brief");
      reader.waitForText("#check", "Draft check");
      assertThat(reader.find("#text").getAttribute("value")).contains("when the lamp is out");
      reader.press("Hand it in");
      reader.waitForText(".said", "was handed in");

      browser.open(base + "/articles/" + number + "/draft");
      browser.waitForText("#save-state", "version 1, Ines Molnar");
      browser.open(brief + "/links");
      assertThat(browser.text(".ledger")).contains("1 time");
      browser.run("document.querySelector('.row-do form button').click()");
      browser.waitForText(".ledger", "revoked");

      reader.type("#text", "A second draft, written long after.");
      reader.press("Hand it in");
      reader.waitForText("main", "was revoked");
      assertThat(reader.find("textarea").getAttribute("value"))
          .isEqualTo("A second draft, written long after.");
      assertThat(reader.errors()).allMatch(error -> error.contains("410"));
    }
  }
}
