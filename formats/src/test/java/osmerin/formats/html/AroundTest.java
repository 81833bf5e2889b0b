package osmerin.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.ReadPage;

/** What stands around the text of a page is left out by what it says, whatever marks it up. */
class AroundTest {
  private static final String TEXT =
      "Eels leave the river on moonless nights in autumn, when the water runs high and brown, and"
          + " they swim for months without eating until they reach the sea in which they were born.";

  private static ReadPage read(String body) {
    return PageReader.read("eels.html", "<title>How eels find the sea</title><body>" + body);
  }

  private static List<String> kept(String around) {
    String article =
        "<div class=w><div class=t><h1>How eels find the sea</h1><p>%s</p><h2>At night</h2><p>%s</p>"
            + "<p>%s</p>%s</div></div>";
    return read(article.formatted(TEXT, TEXT, TEXT, around)).kept().stream()
        .map(PageBlock::text)
        .toList();
  }

  private static final List<String> ARTICLE =
      List.of("How eels find the sea", TEXT, "At night", TEXT, TEXT);

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<div><p>You might also like</p><p><a href=/a>Why do pike hide?</a></p></div>",
        "<h2>Related articles</h2><ul><li><a href=/a>Pike</a><li><a href=/b>Perch in ponds</a></ul>",
        "<p>Next: <a href=/n>Why herons stand still</a></p>",
        "<div><div>Was this page helpful?</div><div>Yes</div><div>No</div></div>",
        "<div><p>Poll: have you seen an eel?</p><p>Yes</p><p>Never</p><p>812 votes</p></div>",
        "<div><p>Which fish do you like best?</p><p>Pike (41 %)</p><p>Thanks for voting!</p></div>",
        "<div><b>In this article</b><ul><li><a href=#a>At night</a><li><a href=#b>Sea</a></ul></div>",
        "<p>Jump to: <a href=#a>night</a> | <a href=#b>sea</a></p>",
        "<div><p>Get our best fish stories in your inbox. Ready?</p></div>",
        "<section><h2>Delivery and returns</h2><p>How long does it take?</p><p>Two days.</p></section>",
        "<div><h4>About the author</h4><p>She swims.</p></div>",
        "<div><p>Merle is a biologist who keeps three tanks in her kitchen.</p></div>",
        "<div><p>2 comments so far</p><div>Ulf wrote on 3 May:</div><p>Never saw one!</p></div>",
        "<div><h4>Join the conversation</h4><div><b>wendle</b> 2 days ago</div><p>Eh?</p></div>",
        "<div><div>Marge Oddy, 2 days ago</div><p>Is that so? I doubt it.</p>"
            + "<div>Tom, yesterday</div><p>It is so.</p></div>",
        "<p>Last updated 4 March by the office</p>"
      })
  void whatStandsAroundAnArticleIsNoneOfIt(String around) {
    assertThat(kept(around)).isEqualTo(ARTICLE);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<h2>Comments in the code</h2><p>A comment begins with a sign and ends with the line.</p>",
        "<h2>Related species</h2><p>" + TEXT + " " + TEXT + "</p>",
        "<h2>Delivery</h2><p>" + TEXT + " " + TEXT + "</p>",
        "<p>A poll of anglers shows that most of them let eels go.</p>",
        "<p>Share a boat and you share the eels.</p>",
        "<ul><li>Eels: March 3<li>Pike: April 9<li>Perch: May 12<li>Carp: May 30</ul>",
        "<table><tr><td>Eels, March 3</td><td>Set traps low</td></tr><tr><td>Pike, April 9</td><td>Use"
            + " spoons</td></tr><tr><td>Perch, May 12</td><td>Worms on hooks</td></tr></table>",
        "<p>Release 0.1.12</p><p>Eels are counted now.</p><p>Release 0.1.13</p><p>So are pike.</p>",
        "<p>About baking: eels are skinned first and then laid in salt over night.</p>",
        "<dl><dt>categories</dt><dd>Silver eels, yellow eels and glass eels.</dd></dl>",
        "<p>Rivers is what most people think of. The sea comes later.</p>"
      })
  void whatOnlySoundsLikeItStays(String text) {
    assertThat(kept(text)).hasSizeGreaterThan(ARTICLE.size());
  }

  @Test
  void theAnswersOfAForumAreItsText() {
    String post = "<div><div>%s<br>Joined: May 2019<br>Posts: 12</div><div><p>%s</p></div></div>";
    ReadPage page =
        read(
            "<h1>Eels in my pond?</h1>"
                + post.formatted("finch", "Since Monday there are eels. What do they eat?")
                + post.formatted("marrow", TEXT)
                + post.formatted("tide", TEXT)
                + "<p>Users browsing this board: 3</p>");
    assertThat(page.kept())
        .extracting(PageBlock::text)
        .containsExactly(
            "Eels in my pond?", "Since Monday there are eels. What do they eat?", TEXT, TEXT);
    assertThat(PageKind.of(page).kind()).isEqualTo(PageKind.FORUM);
  }

  @Test
  void whoWroteItWhenAndWhereItStandsOnTheSiteIsNoText() {
    ReadPage page =
        read(
            "<div><div><ul><li>Rivers<li>Fish</ul><h1>How eels find the sea</h1>"
                + "<p>By Orla Pett · Updated 3 March · 6 min read</p><p>"
                + TEXT
                + "</p></div></div>");
    assertThat(page.kept())
        .extracting(PageBlock::text)
        .containsExactly("How eels find the sea", TEXT);
  }

  @Test
  void muchThatStandsAboveATitleIsNotItsHead() {
    String lines = "<p>Eels swim at night.</p>".repeat(10);
    String text = "<p>" + TEXT + "</p>";
    assertThat(read("<div>" + lines + "<h1>Eels</h1>" + text + "</div>").blocks())
        .extracting(PageBlock::leftOut)
        .doesNotContain("head of the page");
    assertThat(read("<div>" + lines + "<h1>Eels</h1>" + text.repeat(9) + "</div>").blocks())
        .extracting(PageBlock::leftOut)
        .contains("head of the page");
  }

  @Test
  void aListOfDatesIsNoDiscussion() {
    String row = "<div>Eels, March %s</div><div>Set the traps low.</div>";
    ReadPage page =
        read(
            "<h1>A year of fishing</h1>" + row.formatted(3) + row.formatted(9) + row.formatted(12));
    assertThat(PageKind.of(page).kind()).isNotEqualTo(PageKind.FORUM);
  }

  @Test
  void aBoxToBuyFromWithinAnArticleMakesNoShop() {
    String box = "<div><p>Our pick: waders, £ 39</p><button>Buy now</button></div>";
    String article = "<h1>How to watch eels</h1><p>%1$s<p>%1$s<p>%1$s%2$s<p>%1$s<p>%1$s";
    ReadPage page = read(article.formatted(TEXT, box));
    assertThat(PageKind.of(page).kind().isArticle()).isTrue();
    ReadPage shop = read("<h1>Waders</h1>" + box + "<p>" + TEXT + "</p>");
    assertThat(PageKind.of(shop).kind()).isEqualTo(PageKind.SHOP);
  }

  @Test
  void manyLinesThatOpenPartsTakeLittleTime() {
    long begin = System.nanoTime();
    kept("<div><p>Related articles</p><p><a href=/a>Pike</a></p></div>".repeat(5_000));
    kept("<p>Was this page helpful?</p>".repeat(10_000));
    kept("<div>Marge, 2 days ago</div><p>Is that so?</p>".repeat(5_000));
    assertThat((System.nanoTime() - begin) / 1_000_000).isLessThan(9_000);
  }
}
