package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.imports.ImportService;

/** Bringing in what is live, and what nobody wants to write about, in the browser. */
class InventoryBrowserTest extends BrowserTest {
  private static final String KEYWORDS =
      """
      keyword,volume,difficulty,urls
      eel trap,900,20,eels.example/traps t.example/2 t.example/3
      catch eels,300,30,eels.example/traps t.example/2 t.example/3
      eel jobs,250,30,eels.example/traps t.example/2 t.example/3
      rye bread,400,30,b.example/1 b.example/2 b.example/3
      """;
  private static final String FEED =
      """
      <?xml version="1.0"?><rss version="2.0"><channel><title>Eels</title><link>https://eels.example</link><description>d</description>
      <item><title>All about traps</title><link>https://eels.example/traps</link><pubDate>Tue, 06 Feb 2024 09:00:00 GMT</pubDate></item>
      <item><title>The rye bread of home</title><link>/bread</link></item>
      <item><title>Who we are</title><link>/about</link><pubDate>Tue, 02 Jan 2024 09:00:00 GMT</pubDate></item>
      </channel></rss>
      """;

  @TempDir private Path folder;
  @Autowired private ImportService imports;

  @BeforeEach
  void twoGroups() {
    imports.importFile(site, "eels.csv", KEYWORDS.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aFeedBecomesLiveArticlesWhoseGroupsAreConfirmedAndCorrected() throws Exception {
    browser.open(base + "/live");
    browser.press("Import");
    browser.press("Import live pages");
    bring("broken.xml", "<rss version=\"2.0\"><channel>");
    browser.waitForText("[role=alert]", "Nothing was stored");
    bring("feed.xml", FEED);
    browser.waitForText("main", "3 pages to import, 0 already known");
    assertThat(browser.text("main")).contains("1 page without a publish date");
    browser.press("Import 3 articles");
    browser.waitForText("#foot", "3 articles imported");
    browser.waitFor(() -> browser.path().equals(base + "/live/inventory"));
    browser.back();
    browser.waitForText("main table", "ranks for 3 keywords of it, at best 1");
    browser.open(base + "/live/inventory");
    browser.waitForText("main table", "ranks for 3 keywords of it, at best 1");
    assertThat(browser.text("main table")).contains("near the group in meaning");

    browser.click("thead input[data-mark-all]");
    browser.press("Confirm their groups");
    browser.waitForText("#foot", "2 articles matched");
    browser.waitForText("main .lead", "1 live article");
    browser.click("#foot .foot-undo");
    browser.waitForText("main .lead", "3 live articles");
    browser.click("thead input[data-mark-all]");
    browser.press("Confirm their groups");
    browser.waitForText("main .lead", "1 live article");

    browser.click("td .menu summary");
    browser.type("td .menu input[name=value]", "eel trap");
    browser.keys(Keys.ENTER);
    browser.waitForText("#foot", "It answers “eel trap”");
    browser.press("Overlap");
    browser.waitForText("main", "All about traps");
    assertThat(browser.text("main table")).contains("Who we are").contains("eel trap");
    browser.open(base + "/plan/2024-02");
    browser.waitForText("main", "All about traps");
  }

  private void bring(String name, String content) throws Exception {
    browser.upload("#file", Files.writeString(folder.resolve(name), content));
    browser.press("Preview");
  }

  @Test
  void whatIsExcludedGoesOutOfSightAndComesBack() {
    browser.open(base + "/research/excluded");
    browser.type("#text", "jobs");
    browser.click("main form .btn-primary");
    browser.waitForText("#foot", "1 keyword out of sight");
    browser.type("#text", "jobs");
    browser.click("main form .btn-primary");
    browser.waitForText("[data-said]", "on the list already");
    browser.open(base + "/research/keywords?fold=no");
    browser.waitForText("main .lead", "3 keywords");
    browser.open(base + "/research/excluded");
    browser.press("Remove from list");
    browser.waitForText("#foot", "1 keyword came back");
    browser.key(Keys.chord(Keys.CONTROL, "z"));
    browser.waitForText("main table", "jobs");
  }

  @Test
  void allThatMatchAreChangedAtOnceAndAViewIsKept() {
    browser.open(base + "/research/keywords?q=eel&fold=no&size=50");
    browser.click("thead input[data-mark-all]");
    browser.waitForText(".bulk", "3 marked");
    browser.choose("#bulk-what", "Set intent");
    browser.choose(".bulk select[name=value]", "transactional");
    browser.press("Apply");
    browser.waitForText("#foot", "3 keywords: intent transactional");
    assertThat(browser.text("main table")).contains("transactional");
    browser.click(".ledger-views details:nth-of-type(1) summary");
    browser.type("#view-name", "Eels only");
    browser.press("Save view");
    browser.waitForText(".ledger-views", "Eels only");
    browser.click(".view a");
    browser.waitFor(() -> browser.path().contains("q=eel"));
    browser.click(".ledger-views details:nth-of-type(2) summary");
    browser.click("[data-columns] li:nth-child(2) [data-column-up]");
    browser.press("Show columns");
    browser.waitFor(() -> browser.path().contains("columns=difficulty"));
    assertThat(browser.text("thead"))
        .startsWith("Keyword")
        .containsSubsequence("Difficulty", "Searches");
    browser.click(".view button");
    browser.waitForText("#foot", "The view is deleted");
    browser.waitFor(() -> !browser.text(".ledger-views").contains("Eels only"));
  }
}
