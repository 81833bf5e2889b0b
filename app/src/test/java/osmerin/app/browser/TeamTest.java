package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;

/** Several people: invited, each with what their role allows, and at the same thing at once. */
class TeamTest extends BrowserTest {
  private static final Pattern LINK = Pattern.compile("http://\\S+/invitation/\\S+");
  private static final String NEW_PASSWORD = "kelp lantern orbit seven";

  @Test
  void aTeamOfFourTakesOneArticleRound() {
    try (Browser strategist = invited("sif@loam.example", "Sif Lund", "Strategist");
        Browser editor = invited("ed@loam.example", "Ed Marsh", "Editor");
        Browser writer = invited("wyn@loam.example", "Wyn Tor", "Writer")) {
      writer.open(base + "/plan");
      writer.key("+");
      writer.type("#pitch-title", "Eels at night");
      writer.keys(Keys.ENTER);
      writer.waitForText("#foot", "Pitched");

      strategist.open(base + "/desk");
      strategist.waitForText(".panel", "1 open pitch");
      strategist.open(base + "/pitches");
      strategist.run("document.querySelector('.row-do a').click()");
      strategist.choose("#role-editor", "Ed Marsh");
      strategist.choose("#role-writer", "Wyn Tor");
      LocalDate date = site.today().plusWeeks(6).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
      strategist.date("#publishDate", date.toString());
      strategist.press("Commission");
      strategist.waitForText(".stage-here", "Commissioned");
      String article = strategist.path();

      writer.open(base + "/notices");
      writer.waitForText(".notices", "was commissioned as");
      assertThat(writer.text(".notices")).contains("You are the writer of");
      writer.open(article + "/brief");
      writer.type("#text-READER", "People who fish at night");
      saved(writer);

      editor.open(base + "/desk");
      editor.waitForText(".panel", "Sign off the brief");
      editor.open(article + "/brief");
      editor.press("Sign off");
      editor.waitForText(".article-actions", "signed off by Ed Marsh");

      writer.open(article + "/draft");
      writer.type("#text", "# Eels at night\n\nThey come when the lamp is out.");
      writer.press("Save");
      writer.waitForText("#foot", "Saved as version");
      writer.open(article);
      for (String stage : List.of("Drafting", "Editing")) {
        writer.key(">");
        writer.waitForText(".stage-here", stage);
      }
      assertThat(writer.text(".article-side")).doesNotContain("Ready ›");

      editor.open(base + "/desk");
      editor.waitForText(".panel", "Review");
      editor.open(article);
      readyAnyway(editor);
      editor.press("Publish now");
      editor.waitForText("#foot", "is live");

      writer.open(base + "/notices");
      writer.waitForText(".notices", "went live");
      browser.open(article);
      browser.waitForText(".history", "went live");
      assertThat(browser.text(".history"))
          .contains("Wyn Tor", "Ed Marsh", "Sif Lund", "signed off", "moved from Drafting");
    }
    await().until(() -> MAIL.to("ed@loam.example").toString().contains("waits for you"));
  }

  /** Invites somebody, and takes the invitation as they would. */
  private Browser invited(String mail, String name, String role) {
    browser.open(base + "/team");
    browser.type("#invite-mail", mail);
    browser.choose("#invite-role", role);
    browser.press("Invite");
    browser.waitForText("#foot", "is invited");
    await().until(() -> MAIL.to(mail).stream().anyMatch(l -> l.startsWith("Invitation")));
    Matcher link = LINK.matcher(MAIL.to(mail).get(0));
    assertThat(link.find()).isTrue();
    Browser theirs = new Browser("http://127.0.0.1:" + port);
    theirs.open(link.group().replaceFirst("http://[^/]+", ""));
    theirs.waitForText("main", "invites you to work on");
    theirs.type("#name", name);
    theirs.type("#password", "password12");
    theirs.press("Join");
    theirs.waitForText(".fault", "easy to guess");
    theirs.type("#password", NEW_PASSWORD);
    theirs.press("Join");
    theirs.waitForText("main", "Waits for you");
    theirs.open(link.group().replaceFirst("http://[^/]+", ""));
    theirs.waitForText(".fault", "was used already");
    theirs.open("/");
    theirs.waitForText("main", "Waits for you");
    theirs.errors();
    return theirs;
  }

  @Test
  void aWriterGetsNowhereByAddressNorByAForgedForm() {
    String number = commission("Not theirs");
    SiteContext wyn = join(site.site(), "Wyn Tor", Role.WRITER);
    try (Browser writer = browserOf(wyn)) {
      for (String path : List.of("/research/import", "/setup", "/setup/components")) {
        writer.open(base + path);
        writer.waitForText("main", "You are a writer here. This takes");
      }
      writer.open(base + "/articles/" + number);
      assertThat(writer.has("#publish-date, [name=to], [name=person], #article-type")).isFalse();
      writer.open(base + "/articles/" + number + "/brief");
      writer.waitForText(".said", "You can read this brief");
      String article = base + "/articles/" + number;
      assertThat(forged(writer, article + "/publish-date", "date=2027-01-05")).isEqualTo(403);
      assertThat(forged(writer, article + "/title", "title=Mine&seen=1")).isEqualTo(403);
      assertThat(forged(writer, article + "/stage", "to=1&seen=1")).isEqualTo(403);
      assertThat(forged(writer, article + "/draft", "text=Mine&seen=0")).isEqualTo(403);
      assertThat(forged(writer, article + "/steps/brief", "done=true")).isEqualTo(403);
      assertThat(forged(writer, base + "/articles/bulk", "marked=1&what=ARCHIVE")).isEqualTo(403);
      assertThat(
              forged(writer, base + "/team/" + wyn.personId() + "/role", "seen=WRITER&role=OWNER"))
          .isEqualTo(403);
      assertThat(forged(writer, base + "/history/undo", "")).isEqualTo(422);
      assertThat(writer.errors()).allMatch(error -> error.contains("403") || error.contains("422"));
    }
    browser.open(base + "/articles/" + number);
    browser.waitForText(".stage-here", "Commissioned");
    assertThat(browser.text("h1")).isEqualTo("Not theirs");
    assertThat(browser.text(".above")).contains("no publish date");
  }

  /** Sends a form that no page offers, with the person's own session and token. */
  private static int forged(Browser browser, String path, String fields) {
    Object status =
        browser.run(
            "const answer = await fetch(arguments[0], {method: 'POST', redirect: 'manual',"
                + " headers: {'Content-Type': 'application/x-www-form-urlencoded'},"
                + " body: arguments[1] + '&_csrf=' + encodeURIComponent("
                + "document.querySelector('[name=_csrf]').value)}); return answer.status;",
            path,
            fields);
    return ((Long) status).intValue();
  }

  @Test
  void theLaterOfTwoIsShownBothValuesAndChooses() {
    String number = commission("Contended");
    SiteContext per = join(site.site(), "Per Holm", Role.EDITOR);
    try (Browser second = browserOf(per)) {
      browser.open(base + "/articles/" + number);
      second.open(base + "/articles/" + number);
      second.click("h1 [data-edit-open]");
      second.type("h1 [name=title]", "Per's title");
      second.keys(Keys.ENTER);
      second.waitForText("#foot", "Renamed");
      browser.click("h1 [data-edit-open]");
      browser.type("h1 [name=title]", "Una's title");
      browser.keys(Keys.ENTER);
      browser.waitForText("[data-said]", "was changed after you looked at it by Per Holm");
      assertThat(browser.text("[data-said]")).contains("Per's title", "Una's title");
      browser.press("Save mine anyway");
      browser.waitForText("h1", "Una's title");
      second.open(base + "/articles/" + number);
      second.waitForText(".history", "was renamed to “Una's title”");
    }
  }

  @Test
  void sitesAreSwitchedInTheTopLineAndRolesArePerSite() {
    SiteContext other = emptySite();
    team.join(other.siteId(), site.personId(), Role.WRITER);
    browser.open(base + "/desk");
    browser.click(".top-site");
    browser.click(".top-where .dropdown-item[href='/" + other.site().slug() + "/desk']");
    browser.waitFor(() -> browser.path().startsWith("/" + other.site().slug()));
    browser.open("/" + other.site().slug() + "/setup");
    browser.waitForText("main", "You are a writer here");
    browser.open(base + "/setup");
    browser.waitForText("h1", "Setup");
    browser.open("/");
    browser.waitFor(() -> browser.path().startsWith(base));
  }
}
