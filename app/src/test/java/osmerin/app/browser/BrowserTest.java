package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.Commission;
import osmerin.app.pitches.PitchService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.app.support.TestBlogHost.Line;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** A test in a real browser, on an empty site; its owner is signed in, and no page is open yet. */
abstract class BrowserTest extends ApplicationTest {
  static final Path SAMPLE = Path.of("../docs/samples/marlpit-keywords.csv");

  @Autowired private PitchService pitches;
  Browser browser;
  SiteContext site;
  String base;

  @BeforeEach
  void signIn() {
    site = emptySite();
    needNoBriefs(site);
    base = "/" + site.site().slug();
    browser = browserOf(site);
  }

  Browser browserOf(SiteContext person) {
    String address = "http://127.0.0.1:" + port;
    Browser opened = new Browser(address);
    opened.carryOn(new HttpPerson(address, person.person().login(), PASSWORD));
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

  /** Commissions an article from a pitch, all of it the owner's work, and opens its page. */
  String commission(String title) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people =
        StepRole.SHIPPED.stream().collect(Collectors.toMap(role -> role, role -> site.personId()));
    Round round =
        pitches.commission(
            site, pitches.pitch(site, title).id(), new Commission(title, type, null, people, null));
    browser.open(base + "/articles/" + round.reference());
    return round.reference();
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
