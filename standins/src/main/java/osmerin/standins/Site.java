package osmerin.standins;

import java.util.List;
import org.jsoup.nodes.Entities;

/**
 * A made-up site: what stands around its texts. Some name their parts as the standard has them,
 * some only by classes, some by nothing.
 *
 * @param head before the text, with {@code {site}} for its name
 * @param tail after it
 */
record Site(String name, String head, String tail) {
  private static final String MENU =
      "<a href=/>Home</a> <a href=/start>Start here</a> <a href=/shop>Shop</a>"
          + " <a href=/about>About us</a> <a href=/contact>Write to us</a>";
  private static final String RELATED =
      "<ul><li><a href=/r1>The week in pictures</a></li><li><a href=/r2>What our readers made in"
          + " March</a></li><li><a href=/r3>A visit to the workshop next door</a></li></ul>";
  private static final String COMMENTS =
      "<p>Great post, tried it on Sunday and it worked at once!</p><p>My grandmother did it the"
          + " other way round and nobody complained.</p><p>Does anybody know a course near the"
          + " coast?</p>";

  private static final List<Site> LAYOUTS =
      List.of(
          new Site(
              "",
              "<header><nav>" + MENU + "</nav></header><main><article>",
              "</article></main><aside><h2>More from us</h2>"
                  + RELATED
                  + "</aside><section id=comments><h2>3 comments</h2>"
                  + COMMENTS
                  + "</section><footer>© {site}. Simulated page, nothing here exists.</footer>"),
          new Site(
              "",
              "<div class=\"cookie-banner\"><p>We use cookies so that this site remembers you. Accept"
                  + " all of them or choose.</p><button>Accept</button></div><div class=\"top"
                  + " navbar\">"
                  + MENU
                  + "</div><div class=\"breadcrumbs\"><a href=/>Home</a> / <a"
                  + " href=/blog>Journal</a></div><div class=\"post-body\">",
              "</div><div class=\"related-posts\"><h3>You may also like</h3>"
                  + RELATED
                  + "</div><div class=\"newsletter\"><p>Get one letter a month, no advertising, leave"
                  + " whenever you like.</p></div><div class=\"site-footer footer\">Imprint of {site}."
                  + " Simulated page, nothing here exists.</div>"),
          new Site(
              "",
              "<div><div>" + MENU + "</div><div>",
              "</div><div>"
                  + RELATED
                  + "</div><div><small>{site}, a simulated site. Nothing here exists.</small></div></div>"),
          new Site(
              "",
              "<div role=navigation>"
                  + MENU
                  + "</div><div role=main><div class=\"share-buttons\"><a href=/s1>Pass it on</a> <a"
                  + " href=/s2>Print</a></div>",
              "<div class=\"author-card widget\"><p>Wren Halloway writes for {site} and has done this"
                  + " for twenty years.</p></div></div><div role=complementary>"
                  + RELATED
                  + "</div><div role=contentinfo>Simulated page. Nothing here exists.</div>"));

  static Site of(String name) {
    Site layout = LAYOUTS.get(Math.floorMod(name.hashCode(), LAYOUTS.size()));
    return new Site(name, layout.head, layout.tail);
  }

  String page(String title, String text) {
    return "<!doctype html><html lang=en><head><title>"
        + Entities.escape(title)
        + "</title><style>body{max-width:40em}</style><script>var visits=1;</script></head><body>"
        + head.replace("{site}", name)
        + text
        + tail.replace("{site}", name)
        + "</body></html>";
  }
}
