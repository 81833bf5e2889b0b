package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.imports.ImportService;
import osmerin.app.near.NearTexts;

/** A file of words only, from topics to the dial, and what is near while a pitch is typed. */
class MeaningBrowserTest extends BrowserTest {
  private static final String FILE =
      """
      keyword,volume
      how to get rid of aphids,900
      kill greenfly on roses,300
      aphids on rose bushes,250
      natural aphid spray,200
      blackfly on broad beans,150
      how to prune roses,800
      when to cut back roses,400
      pruning climbing roses,350
      rose fertilizer,300
      best feed for roses,260
      how to sharpen a chisel,700
      sharpening chisels with a whetstone,240
      best whetstone for chisels,220
      chisel sharpening angle,210
      hand plane setup,330
      how to adjust a hand plane,120
      buy a hand plane,90
      flatten the sole of a hand plane,80
      """;

  @Autowired private ImportService imports;
  @Autowired private NearTexts near;

  @BeforeEach
  void wordsOnly() {
    imports.importFile(site, "words.csv", FILE.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void wordsOnlyBecomeTopicsAndGroupsThatSayHowNear() {
    browser.open(base + "/research/table");
    browser.waitForText("main table", "Rose");
    browser.open(base + "/research/keywords");
    openGroup("how to prune roses");
    browser.waitForText("main table", "near the primary keyword");
    browser.click("tr[data-row]:nth-child(1) input[name=marked]");
    browser.click("tr[data-row]:nth-child(2) input[name=marked]");
    browser.press("Why these two?");
    browser.waitForText("#drawer", "near in meaning");
  }

  @Test
  void theDialIsTurnedWithAPreviewAndUndone() {
    int before = groups();
    browser.open(base + "/research/regroup");
    browser.waitForText("main", "Nothing would move");
    turn(60);
    browser.waitFor(() -> browser.path().contains("near=60"));
    browser.waitForText("main", "Keywords that move");
    browser.press("Move ");
    browser.waitFor(() -> browser.path().endsWith("/research"));
    assertThat(groups()).isGreaterThan(before);
    browser.key(Keys.chord(Keys.CONTROL, "z"));
    browser.waitForText("#foot", "Undone");
    assertThat(groups()).isEqualTo(before);
  }

  @Test
  void aPitchSaysWhatIsNearWhileItIsTyped() {
    near.prepare(site).join();
    browser.open(base + "/desk");
    browser.key("+");
    browser.type("#pitch-title", "Getting aphids off your roses");
    browser.waitForText("#pitch-near", "Group");
    assertThat(browser.text("#pitch-near")).contains("aphids").containsPattern("0\\.\\d\\d");
  }

  @Test
  void aPitchWithoutAGroupIsOfferedTheNearestWhenItIsCommissioned() {
    near.prepare(site).join();
    browser.open(base + "/desk");
    browser.key("+");
    browser.type("#pitch-title", "Getting aphids off your roses");
    browser.keys(Keys.ENTER);
    browser.waitForText("#foot", "Pitched");
    browser.open(base + "/pitches");
    browser.press("Commission");
    browser.waitForText("fieldset", "Keyword group it answers");
    browser.click("fieldset label:nth-of-type(2) input");
    browser.press("Commission");
    browser.waitForText("#foot", "Commissioned as");
    browser.open(base + "/research/plot");
    browser.open(base + "/live/overlap");
    browser.waitForText("main", "Several articles for one group");
  }

  @Test
  void findAsksWhatWasMeantWhenNothingHasTheWords() {
    near.prepare(site).join();
    browser.open(base + "/desk");
    browser.key("f");
    browser.type("#find-field", "how can I sharpen my chisels");
    browser.waitForText("#found", "near");
  }

  private void turn(int near) {
    browser.run(
        "const dial = document.querySelector('#near'); dial.value = arguments[0];"
            + "dial.dispatchEvent(new Event('change', {bubbles: true}));",
        near);
  }

  private int groups() {
    browser.open(base + "/research/keywords");
    return ((Number)
            browser.run(
                "return new Set([...document.querySelectorAll('main a[href*=\"/groups/\"]')]"
                    + ".map(a => a.getAttribute('href'))).size"))
        .intValue();
  }

  private void openGroup(String name) {
    browser.run(
        "[...document.querySelectorAll('main a[href*=\"/groups/\"]')]"
            + ".find(a => a.textContent.trim() === arguments[0]).click()",
        name);
    browser.waitForText("h1", name);
  }
}
