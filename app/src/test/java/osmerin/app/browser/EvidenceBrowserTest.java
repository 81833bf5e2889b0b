package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;

/** Evidence on its pages: fetched for one group and for marked ones, pages brought and left out. */
class EvidenceBrowserTest extends BrowserTest {
  private static final String KEYWORDS =
      """
      keyword,volume,urls
      varroa treatment,900,a.example/1 a.example/2 a.example/3
      sourdough starter,400,b.example/1 b.example/2 b.example/3
      chicken coop size,300,c.example/1 c.example/2 c.example/3
      """;

  @TempDir private Path folder;
  @Autowired private ImportService imports;
  @Autowired private GroupService groups;
  @Autowired private EvidenceService evidence;
  @Autowired private ArticleService articles;
  private long mites;
  private String here;

  @BeforeEach
  void threeGroups() {
    imports.importFile(site, "bees.csv", KEYWORDS.getBytes(StandardCharsets.UTF_8));
    mites = groups.named(site, "varroa treatment");
    here = base + "/research/groups/" + mites + "/evidence";
  }

  private int words(int page) {
    return evidence.ofGroup(site, mites).orElseThrow().pages().get(page).read().keptWords();
  }

  @Test
  void evidenceIsFetchedAndAPageLeftOutAndAQuestionFollows() {
    browser.open(base + "/research/groups/" + mites);
    browser.press("Evidence");
    browser.waitForText("main", "No evidence yet");
    browser.press("Get evidence");
    browser.waitForText(".ranking-pages", "forum");
    browser.waitForText("main", "When should you treat for varroa?");
    browser.run("document.querySelector('.ranking-pages .row-do button').focus()");
    browser.click(".ranking-pages tbody tr:first-child .row-do button");
    browser.waitFor(() -> browser.count(".row-out") == 1);
    assertThat(evidence.ofGroup(site, mites).orElseThrow().counted()).hasSize(9);
    browser.waitForText("#foot", "left out");
    browser.click(".points .sources a");
    browser.waitFor(() -> browser.has(".blocks li:has(span:target)"));
  }

  @Test
  void aBlockIsPutInByHand() {
    browser.open(here);
    browser.press("Get evidence");
    browser.waitFor(() -> browser.count(".ranking-pages tbody tr") == 10);
    int before = words(0);
    browser.run("document.querySelector('.ranking-pages [data-row]').focus()");
    browser.keys(Keys.ENTER);
    browser.waitFor(() -> browser.has(".blocks"));
    browser.press("Put in");
    browser.waitForText(".blocks", "put in by hand");
    assertThat(words(0)).isGreaterThan(before);
  }

  @Test
  void markedGroupsGetTheirsInBulk() {
    browser.open(base + "/research/no-topic");
    browser.run("document.querySelectorAll('input[name=marked]').forEach((box) => box.click())");
    browser.press("Get evidence");
    browser.waitFor(
        () ->
            groups
                .rows(site, java.util.List.of(mites, groups.named(site, "sourdough starter")))
                .stream()
                .allMatch(row -> row.wordTarget() != null));
    browser.waitForText("h1", "No topic");
  }

  @Test
  void pagesAreUploadedAndPasted() throws IOException {
    Path saved = folder.resolve("mine.html");
    Files.writeString(
        saved, "<title>My own hive</title><main><p>Mites weaken the winter bees a lot.</p></main>");
    browser.open(here);
    browser.upload("#add-file", saved);
    browser.press("Upload");
    browser.waitForText(".ranking-pages", "My own hive");
    browser.run("document.querySelector('#paste-text').closest('details').open = true");
    browser.type("#paste-text", "# Treating mites\n\nTreat them in August and again at Christmas.");
    browser.press("Add");
    browser.waitForText(".ranking-pages", "Treating mites");
    browser.waitForText(".ranking-pages", "pasted");
  }

  @Test
  void anArticleIsGivenAGroupOnItsPageAndThenEvidenceInItsBrief() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round =
        articles.commission(site, new Commission("Bread at home", type, null, Map.of(), null));
    browser.open(base + "/articles/" + round.reference());
    browser.run("document.querySelector('input[list=group-names]').closest('details').open = true");
    browser.type("input[list=group-names]", "sourdough starter");
    browser.run(
        "document.querySelector('input[list=group-names]').form.querySelector('button').click()");
    browser.waitForText(".research-facts", "sourdough starter");
    browser.open(base + "/articles/" + round.reference() + "/brief");
    browser.press("Get evidence");
    browser.waitForText(".panel", "10 pages for “sourdough starter”");
    browser.waitForText(".research-facts", "words");
    browser.press("Propose from evidence");
    browser.waitForText("#foot", "added.");
    assertThat(browser.count(".outline-row")).isGreaterThan(2);
    assertThat(browser.text("#budget")).matches("([\\d,]+) of \\1 words");
  }
}
