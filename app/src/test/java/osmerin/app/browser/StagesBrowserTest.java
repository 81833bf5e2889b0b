package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.core.article.Kind;

/** A stage is added between two with articles in it, and retired again. */
class StagesBrowserTest extends BrowserTest {
  @Autowired private ArticleService articles;

  @Test
  void aStageIsAddedBetweenTwoWithArticlesInItAndRetired() {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    String reference =
        articles.commission(site, new Commission("Eels", post, null, Map.of(), null)).reference();
    stageMoves.move(site, 1, stage(site, "Drafting"), stage(site, "Commissioned"), true);
    browser.open(base + "/setup");
    browser.press("Stages");
    browser.type("#stage-name", "live");
    browser.press("Add");
    browser.waitForText("main", "Two stages are called “Live”.");
    browser.run("document.querySelector('#stage-name').value = ''");
    browser.type("#stage-name", "Fact check");
    browser.press("Add");
    browser.waitForText("#foot", "“Fact check” is a stage now");
    browser.click("[aria-label='Move Fact check up']");
    browser.waitForText("#foot", "Moved up");
    assertThat(names())
        .containsExactly(
            "Commissioned",
            "Briefed",
            "Drafting",
            "Fact check",
            "Editing",
            "Ready",
            "Live",
            "Retired");

    browser.open(base + "/articles/" + reference);
    browser.press("Fact check ›");
    browser.waitForText("#foot", "is at Fact check now");
    assertThat(browser.find(".stage-here").getText()).isEqualTo("Fact check");

    browser.open(base + "/setup/stages");
    browser.click("[aria-label='Retire Fact check']");
    browser.choose("#target-" + stage(site, "Fact check"), "Editing");
    browser.press("Retire Fact check");
    browser.waitForText("#foot", "The stage is retired");
    assertThat(names()).doesNotContain("Fact check");
    assertThat(articles.get(site, 1).stage().label()).isEqualTo("Editing");
    browser.click("#foot .foot-undo");
    browser.waitForText("#foot", "Undone");
    assertThat(articles.get(site, 1).stage().label()).isEqualTo("Fact check");
  }

  private List<String> names() {
    return browser.driver().findElements(By.cssSelector(".stage-title")).stream()
        .map(name -> name.getDomProperty("value"))
        .toList();
  }
}
