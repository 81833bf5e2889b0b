package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.site.Role;
import osmerin.core.article.Kind;

/** Tasks, unassigned steps and how a step is done here, as people meet them. */
class DeskBrowserTest extends BrowserTest {
  @Autowired private ArticleService articles;

  @Test
  void aTaskIsAddedTickedAndComesBackByUndo() {
    browser.open(base + "/desk");
    browser.run("document.querySelector('#task-name').closest('details').open = true");
    browser.type("#task-name", "Answer the kiln maker");
    browser.type("#task-hours", "long");
    browser.run("document.querySelector('#task-name').form.requestSubmit()");
    browser.waitForText("main [data-said]", "Hours are a number such as 1.5");
    assertThat(browser.find("#task-name").getAttribute("value")).isEqualTo("Answer the kiln maker");
    browser.type("#task-hours", "45 min");
    browser.run("document.querySelector('#task-name').form.requestSubmit()");
    browser.waitForText(".desk-task", "Answer the kiln maker");
    assertThat(browser.text(".desk-task")).contains("0.75 h");
    browser.click(".desk-task .tick");
    browser.waitForText("#foot", "Done");
    assertThat(browser.has(".desk-task")).isFalse();
    browser.click("#foot .foot-undo");
    browser.waitForText(".desk-task", "Answer the kiln maker");
  }

  @Test
  void anUnassignedStepIsTakenFromTheDeskAndSaysHowItIsDone() {
    join(site.site(), "Wim Aal", Role.WRITER);
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    String number =
        articles
            .commission(
                site, new Commission("Eels", post, null, Map.of(), site.today().plusWeeks(6)))
            .reference();
    browser.open(base + "/types/" + post + "/how/brief");
    browser.type("#guide-text", "Ask **two** readers first.");
    browser.press("Save");
    browser.waitForText(".prose", "Ask two readers first.");
    browser.open(base + "/desk");
    browser.waitForText("main", "Unassigned");
    browser.press("Take it");
    browser.waitForText("#foot", "The step is yours");
    browser.open(base + "/articles/" + number + "?as=drawn");
    browser.waitForText(".runup-steps", "Una Berg");
    browser.click("a.runup-step");
    browser.waitForText("h1", "Write the brief");
    browser.waitForText(".prose", "Ask two readers first.");
  }
}
