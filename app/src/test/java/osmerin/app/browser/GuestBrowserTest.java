package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.guests.Guests;
import osmerin.core.article.Kind;

/** A guest is asked, ticks by link, and has the link revoked while it is open. */
class GuestBrowserTest extends BrowserTest {
  @Autowired private ArticleService articles;
  @Autowired private Guests guests;
  @TempDir private Path folder;

  @Test
  void aGuestTicksByLinkAndLosesNothingWhenItIsRevokedWhileOpen() throws IOException {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    String article =
        base
            + "/articles/"
            + articles
                .commission(site, new Commission("Eels", post, null, Map.of(), null))
                .reference();
    browser.open(article);
    browser.run("document.querySelectorAll('#guests details').forEach(d => d.open = true)");
    browser.type("#guest-name", "Ines Molnar");
    browser.type("#guest-mail", "ines" + site.siteId() + "@post.example");
    browser.choose("#guest-role", "writer");
    browser.press("Ask");
    browser.waitForText("#foot", "Ines Molnar is asked");
    browser.waitForText("#guests", "not opened yet");
    browser.run("document.querySelectorAll('#guests details').forEach(d => d.open = true)");
    String link = browser.find("#guests .link-once").getText();

    try (Browser guest = new Browser("http://127.0.0.1:" + port)) {
      guest.open(link.substring(link.indexOf("/by-link/")));
      guest.waitForText("h1", "Eels");
      guest.press("It is done");
      guest.waitForText("main", "Ticked. Thank you.");
      Path sketch = Files.writeString(folder.resolve("sketch.svg"), "<svg/>");
      guest.upload("#file", sketch);
      guest.press("Hand in this file");
      guest.waitForText("main", "Your file was handed in");
      guest.type("#text", "# Eels\n\nAt night.");
      guest.press("Check it against the brief");
      guest.waitForText("#draft", "Draft check");
      guest.press("Hand it in");
      guest.waitForText("main", "Your draft was handed in");
      guest.type("#note", "Two hours of typing");
      browser.open(article);
      browser.waitForText("#guests", "sketch.svg");
      browser.click("#guests [aria-label='Revoke the link of Ines Molnar']");
      browser.waitForText("#foot", "The link no longer works");
      guest.press("Leave it");
      guest.waitForText("main", "This link was revoked");
      assertThat(guest.find("textarea").getDomProperty("value")).isEqualTo("Two hours of typing");
    }
    assertThat(guests.handedIn(articles.get(site, 1))).hasSize(1);
  }
}
