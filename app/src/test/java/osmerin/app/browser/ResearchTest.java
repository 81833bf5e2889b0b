package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From a messy file to what is worth writing. */
class ResearchTest extends BrowserTest {
  private static final String MESSY =
      """
      Eels, all we found;;;;;
      exported on 3 March;;;;;
      Search term;Volume;KD %;#1;#2;#3
      eel trap;1.300;20;a.example/1;a.example/2;a.example/3
      old eel trap;320;25;a.example/1;a.example/2;a.example/3
      smoked eel;2.400;70;b.example/1;b.example/2;b.example/3
      ;20;3;c.example/1;;
      """;

  @TempDir private Path folder;

  @Test
  void theHeaderRowIsChosenAndColumnsThatAreNotReadStayInPlace() throws Exception {
    browser.open(base + "/research/import");
    browser.upload(
        "#file",
        Files.writeString(
            folder.resolve("reels.csv"),
            "Reels of May;;;;\nKeyword;Volume;Notes;Position;URL\nfly reel;90;x;3;"
                + "https://river.example/fly\nold reel;20;y;14;https://river.example/old\n"
                + "trout reel;30;z;8;https://river.example/trout\n"));
    browser.press("Preview");
    browser.waitForText("thead", "Notes");
    assertThat(browser.find("#header").getAttribute("value")).isEqualTo("2");
    assertThat(browser.run(LEFT_EDGES_AGREE)).isEqualTo(true);
    browser.choose("#header", "row 1");
    browser.waitForText("thead", "Reels of May");
    browser.choose("#header", "row 2");
    browser.waitForText("thead", "Notes");
    browser.press("Import");
    browser.waitForText("main", "3 keywords");
    browser.press("Add to the inventory");
    browser.waitForText("main", "river.example/old");
  }

  /** Each cell of the preview begins where its column's head does. */
  private static final String LEFT_EDGES_AGREE =
      """
      const left = (e) => Math.round(e.getBoundingClientRect().left);
      const heads = [...document.querySelectorAll('.ledger-file thead th')].map(left);
      return [...document.querySelectorAll('.ledger-file tbody tr')].every((row) =>
        [...row.children].every((cell, i) => left(cell) === heads[i]));
      """;

  @Test
  void aMessyFileBecomesGroupsThatSayWhatTheyAreWorth() throws Exception {
    browser.open(base + "/research/import");
    Path file = folder.resolve("eels.csv");
    browser.upload("#file", Files.write(file, MESSY.getBytes(StandardCharsets.UTF_8)));
    browser.press("Preview");
    browser.waitForText("main", "Search term");
    assertThat(browser.find("#header").getAttribute("value")).isEqualTo("3");
    browser.press("Import");
    browser.waitForText(".figures", "4");
    assertThat(browser.text("main")).contains("No keyword in this row");

    browser.open(base + "/research/keywords?starts=eel");
    browser.waitForText("main", "1 keyword found");
    browser.click("main tbody a");
    browser.waitForText("#worth", "visits a year for each hour");
    String before = browser.text(".worth-yield strong");
    browser.run(
        "const s = document.querySelector('#what-strength'); s.value = 80;"
            + " s.dispatchEvent(new Event('change', {bubbles: true}))");
    browser.waitForText("#worth", "what if");
    assertThat(browser.text(".worth-yield strong")).isNotEqualTo(before);
    assertThat(browser.text("#worth")).contains("strength 80");

    browser.open(base + "/research/strength");
    browser.type("#strength", "80");
    browser.press("Save");
    browser.waitForText("#foot", "The worth of every group follows");
    browser.click("#foot .foot-undo");
    browser.waitForText("#foot", "Undone");
    assertThat(browser.find("#strength").getAttribute("value")).isEmpty();
  }

  @Test
  void twentyThousandRowsAreImportedWhileOneIsElsewhere() throws Exception {
    StringBuilder rows = new StringBuilder("keyword,volume,difficulty,urls\n");
    for (int i = 0; i < 20_000; i++) {
      String group = Integer.toString(i / 5 + 1_000, 36);
      rows.append("thing ").append(group).append(" part").append((char) ('a' + i % 5)).append(',');
      rows.append(i % 900).append(',').append(i % 90);
      for (int page = 0; page < 5; page++) {
        rows.append(page == 0 ? ',' : ' ').append(group).append(".example/").append(page);
      }
      rows.append('\n');
    }
    browser.open(base + "/research/import");
    Path file = folder.resolve("many.csv");
    browser.upload("#file", Files.writeString(file, rows));
    browser.press("Preview");
    browser.waitForText("main", "The first 20 rows");
    browser.press("Import");
    browser.waitFor(() -> browser.path().contains("/work/"));
    String work = browser.path();
    browser.open(base + "/plan");
    assertThat(browser.text("h1")).isNotEmpty();
    await()
        .atMost(Duration.ofMinutes(2))
        .pollInterval(Duration.ofSeconds(1))
        .until(
            () -> {
              browser.open(base + "/notices");
              return browser.text("main").contains("many.csv is imported");
            });
    browser.open(work);
    browser.waitForText(".figures", "20,000");
    browser.open(base + "/research");
    browser.waitForText("main .lead", "20,000 keywords");
    // Groups that have neither words nor sites nor meaning in common are no topic.
    browser.waitForText("main", "No topics yet");
  }
}
