package osmerin.formats.html;

import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import osmerin.core.evidence.RankingPage;

/**
 * What is written on a web page: headings and text, without menus, footers, adverts and scripts.
 */
public final class PageText {
  private static final String NOT_TEXT =
      "script, style, noscript, template, svg, iframe, form, nav, footer, aside, dialog,"
          + " [role=navigation], [role=banner], [role=contentinfo], [role=complementary],"
          + " [hidden], [aria-hidden=true], .advert, .ad, .ads";

  private static final String HEADINGS = "h1, h2, h3, h4, h5, h6";
  private static final String BLOCKS = "p, li, blockquote, td, th, dd, dt, figcaption, pre";

  private PageText() {}

  /** Reads a page; the part in {@code main} or {@code article} where there is one. */
  public static RankingPage of(String address, String html) {
    Document page = Jsoup.parse(html);
    page.select(NOT_TEXT).remove();
    Element body = body(page);
    return new RankingPage(address, page.title(), texts(body.select(HEADINGS)), blocks(body));
  }

  private static Element body(Document page) {
    Elements mains = page.select("main");
    if (mains.size() == 1) {
      return mains.get(0);
    }
    Elements articles = page.select("article");
    return articles.size() == 1 ? articles.get(0) : page.body();
  }

  /** A list item or cell that holds paragraphs is no block of its own. */
  private static List<String> blocks(Element body) {
    Elements blocks = body.select(BLOCKS);
    blocks.removeIf(block -> block.select(BLOCKS).size() > 1);
    return texts(blocks);
  }

  private static List<String> texts(Elements elements) {
    return elements.eachText().stream().filter(text -> !text.isBlank()).toList();
  }
}
