package osmerin.formats.html;

import java.util.HashSet;
import java.util.List;
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
  private static final String INPUTS = "input[type=number], input[type=range], select";

  /** A shop has its basket in front of most of its text; a box within an article has not. */
  private static final double EARLY = 0.3;

  /** With so few words nothing but what is sold is there. */
  private static final int FEW_WORDS = 150;

  private static final int LONGEST_BUTTON = 12;

  private Signs() {}

  /**
   * @param runs its text, with what is left out
   * @param posts contributions of different people that are its text
   * @param steps items of a numbered list within its text
   */
  static PageSigns of(Document page, List<Run> runs, int posts, int steps) {
    String text = page.body().text();
    return new PageSigns(
        types(page),
        (int) PRICE.matcher(text).results().limit(1_000).count(),
        buys(runs),
        Math.max(posts, marked(runs)),
        page.select("video, [itemtype$=VideoObject], iframe[src*=/embed/], iframe[src*=player]")
            .size(),
        (int) page.select(INPUTS).stream().filter(Signs::isToFillIn).count(),
        steps);
  }

  private static boolean buys(List<Run> runs) {
    int kept = runs.stream().filter(Run::isKept).mapToInt(Run::words).sum();
    int before = 0;
    boolean titled = runs.stream().noneMatch(run -> run.level() == 1);
    for (Run run : runs) {
      titled |= run.level() == 1;
      before += run.isKept() ? run.words() : 0;
      boolean button = run.words() <= LONGEST_BUTTON && BUYS.matcher(run.toString()).find();
      if (button && titled && (kept <= FEW_WORDS || before <= EARLY * kept)) {
        return true;
      }
    }
    return false;
  }

  /** Contributions that the markup names, of those that are text. */
  private static int marked(List<Run> runs) {
    Set<Element> posts = new HashSet<>();
    for (Run run : runs) {
      Element post = run.isKept() ? run.block.closest(POSTS) : null;
      if (post != null) {
        posts.add(post);
      }
    }
    return posts.size();
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
