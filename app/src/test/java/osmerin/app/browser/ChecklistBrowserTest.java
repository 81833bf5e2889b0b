package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.drafts.DraftService;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;

/** A checklist is written, refuses, is ticked by keys, and is overridden with a reason. */
class ChecklistBrowserTest extends BrowserTest {
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;

  @Test
  void whatIsOpenHoldsPublishingUpUntilItIsTickedOrAReasonIsGiven() {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round = articles.commission(site, new Commission("Eels", post, null, Map.of(), null));
    drafts.save(site, round, "# Eels\n\nThey travel at night.", 0);
    stageMoves.move(site, 1, stage(site, "Ready"), stage(site, "Commissioned"), true);
    browser.open(base + "/setup/types/" + post);
    browser.press("Checklist before publishing");
    browser.waitForText("h1", "Before publishing");
    browser.click("input[name=own][value=PICTURES]");
    browser.type("#by-hand", "Names are right\nNames are right");
    browser.press("Save");
    browser.waitForText("main", "“Names are right” is listed twice.");
    browser.run("document.querySelector('#by-hand').value = 'Names are right'");
    browser.press("Save");
    browser.waitForText("#foot", "The checklist is saved");
    assertThat(browser.find("input[name=own][value=PICTURES]").isSelected()).isTrue();
    browser.click("input[name=gates][value=true]");
    browser.waitForText("#foot", "Checklists hold publishing up");

    String article = base + "/articles/" + round.reference();
    browser.open(article);
    browser.press("Publish now");
    browser.waitForText(".warning", "2 items on its checklist are open");
    browser.open(article + "/checklist");
    browser.run("document.querySelector('.checklist-lines .tick').focus()");
    browser.keys(Keys.SPACE);
    browser.waitForText("#foot", "Ticked");
    browser.waitForText(".checklist", "1 item open");

    browser.open(article);
    browser.press("Publish now");
    browser.waitForText(".warning", "no picture");
    browser.type("#reason", "the photographer is ill");
    browser.press("Publish anyway");
    browser.waitForText("#foot", round.reference() + " is live");
    browser.open(base + "/history");
    browser.waitForText("main", "the photographer is ill");
  }
}
