package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import osmerin.app.support.TestBlogHost.Line;

/** What goes wrong: files, hosts, dates, and two people at once. */
class MishapsTest extends BrowserTest {
  @TempDir private Path folder;

  @Test
  void controlCharactersOfPastedTextGoAsTheyCome() {
    String number = commission("Pasted");
    browser.open(base + "/articles/" + number + "/draft");
    browser.run(
        "const text = document.querySelector('#text'); text.value = 'One\\u000c two\\u0000';"
            + "text.dispatchEvent(new Event('input', {bubbles: true}))");
    browser.press("Save");
    browser.waitForText("#foot", "Saved as version");
  }

  @Test
  void wrongFilesAreRefusedWithAReasonAndNothingIsStored() throws Exception {
    refused("empty.csv", new byte[0], "empty");
    refused("picture.csv", new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0}, "PNG");
    upload("clicks.csv", "date,clicks\n2026-01-01,4\n".getBytes(StandardCharsets.UTF_8));
    browser.waitForText("main", "No column looks like keywords");
    browser.press("Import");
    browser.waitForText("[role=alert]", "Choose the column with the keywords");
    browser.open(base + "/research");
    browser.waitForText("main", "Nothing here yet");
  }

  @Test
  void aTitleThatIsTooLongIsSaidAndNotCut() {
    browser.open(base + "/pitches");
    browser.key("+");
    browser.type("#pitch-title", "A bowl ".repeat(40).strip());
    browser.keys(org.openqa.selenium.Keys.ENTER);
    assertThat(browser.run("return document.querySelector('#pitch-title').validationMessage"))
        .isEqualTo("At most 200 characters; this has 279. Nothing was cut.");
    assertThat(browser.run("return document.querySelector('#pitch-title').value.length"))
        .isEqualTo(279L);
    browser.open(base + "/pitches");
    assertThat(browser.count(".row-do")).isZero();
  }

  @Test
  void aFileReadWronglyIsCorrectedByHand() throws Exception {
    String text = "date;phrase ended\ncafé;7\nthé;5\n";
    upload("odd.csv", text.getBytes("windows-1252"));
    browser.waitForText("main", "No column looks like keywords");
    assertThat(browser.text(".ledger")).contains("café");
    browser.choose("select[name=columns]", "Keyword");
    browser.press("Import");
    browser.waitForText(".figures", "2");
    browser.waitForText("main", "All rows were imported.");
  }

  @Test
  void withTheHostDownTheArticleStaysReadyAndTryingAgainPublishesOnce() {
    int before = BLOG.count();
    String number = commission("When the line breaks");
    write(number, "# When the line breaks\n\nWords.");
    moveToReady(number);
    BLOG.set(Line.BREAKS_BEFORE_THE_ANSWER);
    browser.press("Publish");
    browser.waitForText(".warning", "does not answer");
    assertThat(browser.text(".stage-here")).isEqualTo("Ready");
    BLOG.set(Line.WORKS);
    browser.press("Try again");
    browser.waitForText("#foot", "is live");
    assertThat(BLOG.count() - before).isEqualTo(1);
  }

  @Test
  void anImpossibleDateSaysSoAndOffersTheEarliest() {
    String number = commission("Too soon");
    LocalDate tomorrow = site.today().plusDays(1);
    browser.date("#publish-date", tomorrow.toString());
    browser.press("Set");
    browser.waitForText(".warning", "cannot be published on");
    assertThat(browser.text(".warning")).contains("Write the draft", "earliest possible date");
    assertThat(browser.path()).endsWith("/articles/" + number);
    assertThat(browser.text(".above")).contains("no publish date");
    browser.press("Use ");
    browser.waitForText("#foot", "is to be published on");
    assertThat(browser.text(".above")).contains("publish ");
    assertThat(browser.has(".warning")).isFalse();
  }

  private void refused(String name, byte[] bytes, String reason) throws Exception {
    upload(name, bytes);
    browser.waitForText("[role=alert]", name);
    assertThat(browser.text("[role=alert]")).contains(reason, "Nothing was stored");
  }

  private void upload(String name, byte[] bytes) throws Exception {
    browser.open(base + "/research/import");
    browser.upload("#file", Files.write(folder.resolve(name), bytes));
    browser.press("Preview");
  }
}
