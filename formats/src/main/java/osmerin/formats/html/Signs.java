package osmerin.formats.html;

import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import osmerin.core.evidence.PageSigns;

/** Reads what the markup of a page gives away of its kind. */
final class Signs {
  private static final Pattern TYPE = Pattern.compile("\"@type\"\\s*:\\s*\"(\\w{1,60})\"");
  private static final Pattern PRICE =
      Pattern.compile(
          "[€£$]\\s?\\d|(?<![\\d.,])\\d[\\d.,]{0,20}+\\s?(?:[€£]|(?:EUR|USD|GBP|CHF)\\b)");
  private static final Pattern BUYS =
      Pattern.compile(
          "\\b(add to (cart|basket|bag)|buy now|in den warenkorb|ajouter au panier)\\b",
          Pattern.CASE_INSENSITIVE);
  private static final String POSTS =
      "[itemtype$=Comment], [itemtype$=Answer], .post-content, .forum-post, .reply, .answer,"
          + " .message-body, [data-post-id]";
  private static final String INPUTS =
      "input[type=number], input[type=range], input:not([type]), input[type=text], textarea,"
          + " select";

  private Signs() {}

  /**
   * @param steps items of a numbered list within its text
   */
  static PageSigns of(Document page, int steps) {
    String text = page.body().text();
    return new PageSigns(
        types(page),
        (int) PRICE.matcher(text).results().limit(1_000).count(),
        BUYS.matcher(text).find(),
        page.select(POSTS).size(),
        page.select("video, [itemtype$=VideoObject], iframe[src*=/embed/], iframe[src*=player]")
            .size(),
        (int) page.select(INPUTS).stream().filter(Signs::isToFillIn).count(),
        steps);
  }

  private static Set<String> types(Document page) {
    Set<String> types = new TreeSet<>();
    for (Element data : page.select("script[type=application/ld+json]")) {
      Matcher type = TYPE.matcher(data.data());
      while (type.find() && types.size() < 50) {
        types.add(type.group(1).toLowerCase(Locale.ROOT));
      }
    }
    for (Element typed : page.select("[itemtype]")) {
      String address = typed.attr("itemtype");
      types.add(address.substring(address.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT));
    }
    return types;
  }

  /** Searches, sign-ins and comments stand on every page. */
  private static boolean isToFillIn(Element input) {
    Element form = input.closest("form, section, div");
    String about =
        (input.attr("name") + " " + input.id() + " " + input.attr("placeholder"))
            .toLowerCase(Locale.ROOT);
    String around =
        form == null ? "" : (form.className() + " " + form.id() + " " + form.attr("role"));
    return !about.matches(".*(search|query|mail|password|user|comment|author|url).*")
        && !about.strip().equals("q")
        && !around
            .toLowerCase(Locale.ROOT)
            .matches(".*(search|comment|login|newsletter|respond).*");
  }
}
