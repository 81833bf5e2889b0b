package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.imports.ImportService;

/** Editing groups in the browser, and the pictures of research. */
class GroupsByHandTest extends BrowserTest {
  private static final String FILE =
      """
      keyword,volume,difficulty,urls
      eel trap,9000,20,t.example/1 t.example/2 t.example/3
      catch eels,300,30,t.example/1 t.example/2 t.example/3
      eel net,100,10,t.example/1 t.example/2 t.example/3
      eel smoking oven,700,45,t.example/9 s.example/2 s.example/3
      rye bread,400,30,b.example/1 b.example/2 b.example/3
      bake rye,200,30,b.example/1 b.example/2 b.example/3
      """;

  @Autowired private ImportService imports;

  @BeforeEach
  void threeGroups() {
    imports.importFile(site, "eels.csv", FILE.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void keywordsAreSplitOffByKeysAndTheUndoPutsThemBack() {
    openGroup("eel trap");
    browser.find("tr[data-row]").sendKeys(Keys.ARROW_DOWN);
    browser.keys(" ");
    browser.waitForText(".bulk", "1 marked");
    browser.choose("#bulk-what", "Split off as a group");
    browser.press("Apply");
    browser.waitForText("#foot", "of their own");
    browser.waitFor(() -> browser.count("main tr[data-row]") == 2);
    browser.key(Keys.chord(Keys.CONTROL, "z"));
    browser.waitForText("#foot", "Undone");
    browser.waitFor(() -> browser.count("main tr[data-row]") == 3);
  }

  @Test
  void aKeywordMovesToAGroupThatIsFoundWhileTyping() {
    openGroup("eel trap");
    browser.click("tr[data-row]:nth-child(3) input[name=marked]");
    browser.type(".bulk input[name=value]", "rye");
    browser.waitFor(() -> browser.has("#group-names option[value='rye bread']"));
    browser.type(".bulk input[name=value]", "no such group");
    browser.press("Apply");
    browser.waitForText("[data-said]", "no such group");
    browser.type(".bulk input[name=value]", "rye bread");
    browser.press("Apply");
    browser.waitForText("#foot", "moved");
    openGroup("rye bread");
    assertThat(browser.count("main tr[data-row]")).isEqualTo(3);
    assertThat(browser.text("main table")).contains("by hand").contains("Doubtful");
  }

  @Test
  void groupsAreMergedByDragAndTheUndoPartsThem() {
    browser.open(base + "/research/table");
    browser.click(".ledger a.title");
    browser.waitForText("main", "Write next");
    String one = browser.text("main tr[data-row]:nth-child(1) a.title");
    int groups = browser.count("main tr[data-row]");
    if (groups < 2) {
      moveAllToOneTopic();
      groups = 3;
    }
    drop("main tr[data-row]:nth-child(2)", "main tr[data-row]:nth-child(1)");
    browser.waitForText("#foot", "The groups are one now");
    int before = groups;
    browser.waitFor(() -> browser.count("main tr[data-row]") == before - 1);
    browser.click("#foot .foot-undo");
    browser.waitForText("#foot", "Undone");
    browser.waitFor(() -> browser.count("main tr[data-row]") == before);
    assertThat(browser.text("main table")).contains(one);
  }

  private void moveAllToOneTopic() {
    for (String name : List.of("eel trap", "rye bread", "eel smoking oven")) {
      openTopicOf(name);
      browser.click("main tr[data-row] input[name=marked]");
      browser.choose("#bulk-what", "Move to topic");
      browser.type(".bulk input[name=value]:not([hidden])", "Eels");
      browser.press("Apply");
      browser.waitForText("#foot", "moved");
    }
    openTopicOf("eel trap");
    browser.waitForText("h1", "Eels");
  }

  /** Waits for the topic's page, since the group's has rows to mark too. */
  private void openTopicOf(String group) {
    openGroup(group);
    browser.click(".above a:last-child");
    browser.waitFor(() -> browser.path().contains("topic"));
  }

  /** Selenium's drag raises no events of HTML's own drag and drop. */
  private void drop(String what, String to) {
    browser.run(
        """
        const data = new DataTransfer();
        const [what, to] = [arguments[0], arguments[1]].map((css) => document.querySelector(css));
        const say = (type, on) =>
          on.dispatchEvent(new DragEvent(type, {bubbles: true, cancelable: true, dataTransfer: data}));
        say('dragstart', what); say('dragover', to); say('drop', to); say('dragend', what);
        """,
        what,
        to);
  }

  @Test
  void twoMarkedKeywordsSayWhyTheyAreTogether() {
    openGroup("eel trap");
    browser.click("tr[data-row]:nth-child(1) input[name=marked]");
    browser.click("tr[data-row]:nth-child(2) input[name=marked]");
    browser.press("Why these two?");
    browser.waitForText("#drawer", "3 ranking pages of the first ten in common");
    assertThat(browser.text("#drawer")).contains("t.example/1");
  }

  @Test
  void aRunIsLookedAtBeforeItMovesAnything() {
    browser.open(base + "/research/regroup");
    browser.waitForText("main", "Nothing would move");
    assertThat(isCut("#mode")).isFalse();
    browser.choose("#minShared", "4");
    browser.waitForText("main", "Keywords that move");
    browser.waitFor(() -> browser.path().contains("minShared=4"));
    browser.press("Only for later imports");
    browser.waitForText("#foot", "Nothing was moved");
  }

  /** Whether a choice is narrower than its longest option wants it. */
  private boolean isCut(String css) {
    return (Boolean)
        browser.run(
            """
            const select = document.querySelector(arguments[0]);
            const style = getComputedStyle(select);
            const pen = document.createElement("canvas").getContext("2d");
            pen.font = style.font;
            const words = [...select.options].map((o) => o.textContent.trim().replace(/\\s+/g, " "));
            const room = select.clientWidth - parseFloat(style.paddingLeft)
              - parseFloat(style.paddingRight);
            return room < Math.max(...words.map((w) => pen.measureText(w).width)) - 1;
            """,
            css);
  }

  @Test
  void theLandscapeZoomsByKeysAndLeadsBack() {
    browser.open(base + "/research");
    assertThat(overflowing()).isEmpty();
    browser.find(".spot").sendKeys(Keys.ENTER);
    browser.waitFor(() -> browser.path().contains("?topic="));
    assertThat(overflowing()).isEmpty();
    browser.find(".spot").sendKeys(Keys.ENTER);
    browser.waitForText("#drawer", "Keyword group in");
    browser.key(Keys.chord(Keys.ESCAPE));
    browser.waitFor(() -> !browser.has("#drawer:not([hidden])"));
    browser.key(Keys.chord(Keys.ESCAPE));
    browser.waitFor(() -> browser.path().endsWith("/research"));
  }

  /** Labels that reach beyond their circle. */
  private List<?> overflowing() {
    return (List<?>)
        browser.run(
            """
            return [...document.querySelectorAll('.spot')].flatMap((spot) => {
              const circle = spot.querySelector('circle');
              const [x, y, r] = ['cx', 'cy', 'r'].map((n) => circle[n].baseVal.value);
              return [...spot.querySelectorAll('text')].filter((text) => {
                const b = text.getBBox();
                const size = parseFloat(text.getAttribute('font-size'));
                const top = parseFloat(text.getAttribute('y')) - 0.7 * size;
                return [[b.x, top], [b.x + b.width, top]].some(([px, py]) => Math.hypot(px - x, py - y) > r);
              }).map((text) => text.textContent);
            });
            """);
  }

  @Test
  void whatIsDrawnAroundInThePlotIsPitched() {
    browser.open(base + "/research/plot?open=yes");
    browser.run(
        """
        const svg = document.querySelector('[data-lasso]');
        svg.setPointerCapture = () => {};
        const box = svg.getBoundingClientRect();
        const say = (type, on, x, y) =>
          on.dispatchEvent(new PointerEvent(type, {bubbles: true, button: 0, pointerId: 1, clientX: box.left + x * box.width, clientY: box.top + y * box.height}));
        say('pointerdown', svg, 0.02, 0.02);
        for (const [x, y] of [[0.99, 0.02], [0.99, 0.99], [0.02, 0.99]]) say('pointermove', document, x, y);
        say('pointerup', document, 0.02, 0.02);
        """);
    browser.waitForText(".bulk", "3 marked");
    browser.find(".spot[tabindex='0']").sendKeys(" ");
    browser.waitForText(".bulk", "2 marked");
    browser.press("Pitch them");
    browser.waitForText("#foot", "2 groups pitched");
    assertThat(browser.count("main tr[data-row]")).isEqualTo(2);
    browser.run("document.querySelector('.row-do a').click()");
    browser.waitForText("main", "for the group");
  }

  @Test
  void aTopicIsNamedLeadsAndGetsAnotherPillar() {
    moveAllToOneTopic();
    browser.click("h1 [data-edit-open]");
    browser.type("h1 input[name=name]", "All of eels");
    browser.keys(Keys.ENTER);
    browser.waitForText("h1", "All of eels");
    browser.press("Make lead topic");
    browser.waitForText("#foot", "every desk shows it");
    browser.run("document.querySelector('main .row-do form button').click()");
    browser.waitForText("#foot", "has its pillar");
    browser.open(base + "/desk");
    assertThat(browser.text("main")).contains("All of eels");
  }

  private void openGroup(String name) {
    browser.open(base + "/research/keywords?starts=" + name);
    browser.click("main tbody a");
    browser.waitForText("main", "Why it is here");
  }
}
