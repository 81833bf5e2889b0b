package osmerin.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageBlock.Kind;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.RankingPage;
import osmerin.core.evidence.ReadPage;

class PageReaderTest {
  private static final String TEXT =
      "Sourdough rises slowly because wild yeast is scarce, so the dough is folded every half hour"
          + " until it holds its shape and a finger leaves a mark.";

  private static ReadPage read(String body) {
    return PageReader.read("page.html", "<title>Bread</title><body>" + body + "</body>");
  }

  private static List<String> kept(String body) {
    return read(body).kept().stream().map(PageBlock::text).toList();
  }

  private static String reason(ReadPage page, String text) {
    return page.blocks().stream()
        .filter(block -> block.text().contains(text))
        .map(block -> String.valueOf(block.leftOut()))
        .findFirst()
        .orElse("not read");
  }

  /** A page as blogs have it, without a main part that is named. */
  private static final String BLOG =
      """
      <header class="site"><a href="/">Crumb</a></header>
      <ul class="nav-links"><li><a href="/a">Bread</a><li><a href="/b">Rolls</a><li><a href="/c">Cake</a></ul>
      <div class="wrap with-sidebar"><div class="post">
        <h1>Sourdough in a cold kitchen</h1><p>%1$s</p>
        <h2>Fold, do not knead</h2><p>%1$s <a href="/x">More of it</a> stands elsewhere.</p>
        <table><tr><th>Hour</th><th>Dough</th></tr><tr><td>1</td><td>slack</td></tr></table>
        <ol><li>Weigh the flour.<li>Add the water and wait <b>an hour</b>.<li>Fold it.<li>Bake it.</ol>
        <div>A run of text that no paragraph holds.<br>On a second line.</div>
        <div class="share-buttons">Share this with a friend of yours</div>
      </div>
      <div class="related-posts"><h3>You may like</h3><p>Rye bread for people who have never baked rye</p></div>
      <div id="comments"><h3>3 replies</h3><p>Mine never rose at all, what a waste of flour.</p></div></div>
      <div class="cookie-note">We use cookies to make this better for you.</div>
      <div class="colophon">© Crumb, all rights reserved</div>
      <script>var words = "never read";</script>
      """
          .formatted(TEXT);

  @Test
  void whatBelongsToTheSiteAroundItIsLeftOutAndSaysWhy() {
    ReadPage page = read(BLOG);
    assertThat(reason(page, "Share this")).isEqualTo("sharing");
    assertThat(reason(page, "Rye bread")).isEqualTo("related");
    assertThat(reason(page, "never rose")).isEqualTo("comments");
    assertThat(reason(page, "cookies")).isEqualTo("note of the site");
    assertThat(reason(page, "rights reserved")).isEqualTo("footer");
    assertThat(reason(page, "Rolls")).isIn("menu", "list of links");
    assertThat(reason(page, "never read")).isEqualTo("not read");
    assertThat(page.keptShare()).isBetween(0.5, 0.95);
  }

  @Test
  void headingsParagraphsItemsCellsAndLooseTextAreKeptInOrder() {
    ReadPage page = read(BLOG);
    assertThat(page.headings())
        .containsExactly("Sourdough in a cold kitchen", "Fold, do not knead");
    assertThat(page.kept())
        .extracting(PageBlock::text)
        .containsSubsequence(
            "Sourdough in a cold kitchen",
            "Fold, do not knead",
            "Hour",
            "slack",
            "Add the water and wait an hour.",
            "A run of text that no paragraph holds. On a second line.");
    assertThat(page.kept()).extracting(PageBlock::kind).contains(Kind.CELL, Kind.ITEM);
    assertThat(PageKind.of(page).kind()).isEqualTo(PageKind.HOW_TO);
  }

  @ParameterizedTest
  @ValueSource(strings = {"main", "article"})
  void aNamedMainPartWithMostOfTheTextIsAllThatCounts(String tag) {
    assertThat(kept("<p>Before it.</p><%1$s><p>%2$s</p></%1$s><p>After.</p>".formatted(tag, TEXT)))
        .containsExactly(TEXT);
  }

  @Test
  void aNameThatSpansThePageLeavesNothingOut() {
    assertThat(kept("<div class='menu page'><p>" + TEXT + "</p><p>" + TEXT + "</p></div>"))
        .hasSize(2);
  }

  /** Met in manuals: names that come from what a section says, not from what it is on the page. */
  @Test
  void aNameMadeOfAHeadingLeavesNothingOut() {
    String body =
        "<main><section id='are-there-copyright-restrictions-on-use'><h2>Copyright?</h2><p>"
            + TEXT
            + "</p></section><h2 id='related'>Related</h2><p id='comment'>Short words.</p><p class='byline'>by Wren</p>"
            + "<div class='recommended'><p>"
            + TEXT
            + TEXT
            + "</p></div><div class='related'><a href=/x>Next page</a></div></main>";
    assertThat(kept(body))
        .containsExactly("Copyright?", TEXT, "Related", "Short words.", TEXT + TEXT);
  }

  @Test
  void whatLinksToAHeadingIsNoPartOfIt() {
    assertThat(
            kept(
                "<main><h2>Folding<a href='#f'>¶</a></h2><h3># Proof #</h3><p>"
                    + TEXT
                    + "</p></main>"))
        .startsWith("Folding", "# Proof");
  }

  @Test
  void linksWithinTheTextStay() {
    String list =
        "<li><a href=/a>Rye</a>: dark, and it keeps for a week when it is wrapped up</li>";
    assertThat(kept("<p>" + TEXT + "</p><ul>" + list.repeat(5) + "</ul>")).hasSize(6);
    String links = "<li><a href=/a>Rye bread for you</a></li>";
    assertThat(kept("<p>" + TEXT + "</p><ul>" + links.repeat(5) + "</ul>")).hasSize(1);
  }

  @Test
  void whatReadersDoNotSeeDoesNotCount() {
    assertThat(
            kept(
                "<p>"
                    + TEXT
                    + "</p><p hidden>No.</p><p style='display: none'>No.</p>"
                    + "<p aria-hidden=true>No.</p><template><p>No.</p></template>"))
        .containsExactly(TEXT);
  }

  @Test
  void structuredDataAndFieldsGiveTheKindAway() {
    ReadPage shop =
        read(
            "<script type='application/ld+json'>{\"@type\": \"Product\"}</script><p>"
                + TEXT
                + "</p><p>€ 24.50</p><button>Add to basket</button>");
    assertThat(PageKind.of(shop).kind()).isEqualTo(PageKind.SHOP);
    ReadPage tool =
        read("<p>Water for your flour.</p><div><input type=number><input type=number></div>");
    assertThat(PageKind.of(tool).kind()).isEqualTo(PageKind.TOOL);
    ReadPage search = read("<div><input name=q><input name=mail></div><p>" + TEXT + "</p>");
    assertThat(search.signs().inputs()).isZero();
  }

  @Test
  void onlyWhatCountsIsHandedOnToTermsAndLength() {
    RankingPage page =
        read("<nav><ul><li>Menu</ul></nav><main><h1>Eels</h1><p>Eels <b>move</b> at night.</p>"
                + "<ul><li>One<li><p>Two</p></ul><script>var x = 1</script>"
                + "<aside><p>Buy now</p></aside></main><footer><p>Imprint</p></footer>")
            .ranking();
    assertThat(page.headings()).containsExactly("Eels");
    assertThat(page.blocks()).containsExactly("Eels move at night.", "One", "Two");
    assertThat(page.words()).isEqualTo(7);
    assertThat(kept("<p>one<p>two<div>")).containsExactly("one", "two");
  }

  @Test
  void oddPagesDoNoHarm() {
    assertThat(read("").kept()).isEmpty();
    assertThat(read("<p>").keptShare()).isZero();
    String deep = "<div>".repeat(20_000) + TEXT;
    assertThat(PageReader.read("deep.html", deep).blocks().size()).isBetween(0, 1);
    String wide = "<p>a b c</p>".repeat(20_000);
    assertThat(read(wide).kept()).hasSize(20_000);
  }
}
