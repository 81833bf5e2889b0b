package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.TestBlogHost.Line;

/** A test in a real browser, on an empty site. */
abstract class BrowserTest extends ApplicationTest {
  static final Path SAMPLE = Path.of("../docs/samples/marlpit-keywords.csv");

  Browser browser;
  SiteContext site;
  String base;

  @BeforeEach
  void signIn() {
    site = emptySite();
    needNoBriefs(site);
    base = "/" + site.site().slug();
    browser = browserOf(site);
    browser.open(base + "/plan");
  }

  Browser browserOf(SiteContext person) {
    Browser opened = new Browser("http://127.0.0.1:" + port);
    opened.signIn(person.person().login(), PASSWORD);
    return opened;
  }

  @AfterEach
  void leave() {
    try {
      assertThat(browser.errors()).as("errors on the browser's console").isEmpty();
    } finally {
      browser.close();
      BLOG.set(Line.WORKS);
    }
  }

  /** Commissions an article from a pitch and stands on its page; gives its number. */
  String commission(String title) {
    browser.open(base + "/pitches");
    browser.key("+");
    browser.type("#pitch-title", title);
    browser.keys(org.openqa.selenium.Keys.ENTER);
    browser.waitForText("#foot", "Pitched");
    browser.open(base + "/pitches");
    browser.run("document.querySelector('.row-do a').click()");
    browser.waitFor(() -> browser.path().endsWith("/commission"));
    browser.click("main form button.btn-primary");
    browser.waitFor(() -> browser.path().contains("/articles/"));
    return browser.path().substring(browser.path().lastIndexOf('/') + 1);
  }

  void write(String number, String text) {
    browser.open(base + "/articles/" + number + "/draft");
    browser.type("#text", text);
    browser.press("Save");
    browser.waitForText("#foot", "Saved as version");
  }

  /** Saves what was typed into a brief. */
  static void saved(Browser browser) {
    browser.keys(org.openqa.selenium.Keys.CONTROL, "s");
    browser.waitFor(
        () ->
            (Boolean)
                browser.run(
                    "return document.querySelector('#brief-saved').textContent.startsWith('saved ')"));
  }

  void moveToReady(String number) {
    browser.open(base + "/articles/" + number);
    for (String stage : new String[] {"Briefed", "Drafting", "Editing"}) {
      browser.key(">");
      browser.waitForText(".stage-here", stage);
    }
    readyAnyway(browser);
  }

  /** From Editing on, though steps are to be done. */
  static void readyAnyway(Browser browser) {
    browser.key(">");
    browser.waitForText(".warning", "is missing something for Ready");
    browser.press("Move to Ready anyway");
    browser.waitForText(".stage-here", "Ready");
  }
}
