package osmerin.formats.html;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/** Why an element of a page is no part of what the page says. */
final class LeftOut {
  private static final Map<String, String> BY_TAG =
      Map.of(
          "nav", "menu",
          "footer", "footer",
          "aside", "beside the text",
          "dialog", "dialog",
          "form", "form",
          "button", "button",
          "label", "form",
          "select", "form",
          "fieldset", "form");

  private static final Map<String, String> BY_ROLE =
      Map.of(
          "navigation", "menu",
          "menu", "menu",
          "banner", "head of the site",
          "contentinfo", "footer",
          "complementary", "beside the text",
          "dialog", "dialog",
          "alertdialog", "dialog",
          "search", "form");

  private static final String RELATED = "related";

  /** Words of class and id, whole, each with what such a part is. */
  private static final Map<String, String> BY_NAME = new TreeMap<>();

  static {
    name(
        "menu", "nav navbar navigation menu menus breadcrumb breadcrumbs pagination pager sitemap");
    name("footer", "footer colophon copyright imprint");
    name("note of the site", "cookie cookies consent gdpr popup modal overlay notice banner");
    name(RELATED, "related recommended recommendations trending popular sidebar widget widgets");
    name("comments", "comment comments respond disqus");
    name("sharing", "share sharing social follow");
    name("newsletter", "newsletter subscribe signup optin");
    name("poll", "poll polls vote voting survey quiz");
    name("table of contents", "toc");
    name("asks whether it helped", "helpful feedback");
    name("byline", "byline author authors authorbox bio dateline postmeta");
    name("advert", "advert adverts ad ads advertisement sponsored sponsor promo promotion");
  }

  /** The id of these is made of what they say, not of what part of the site they are. */
  private static final Set<String> NAMED_BY_CONTENT =
      Set.of(
          "a", "p", "h1", "h2", "h3", "h4", "h5", "h6", "dt", "b", "strong", "em", "code", "pre");

  /** A name of more words was made of a heading. */
  private static final int LONGEST_NAME = 3;

  /** A part named as related with so long a paragraph, less of it linked, is about its subject. */
  private static final int RUNNING = 40;

  private static final double LINKED = 0.3;

  /** Hidden from readers, whatever it says. */
  private static final Set<String> HIDDEN = Set.of("hidden", "visually-hidden", "sr-only");

  private LeftOut() {}

  private static void name(String reason, String words) {
    Arrays.stream(words.split(" ")).forEach(word -> BY_NAME.put(word, reason));
  }

  /** The reason; null for what may be text. */
  static @Nullable String of(Element element) {
    if (element.hasAttr("hidden")
        || element.attr("aria-hidden").equals("true")
        || element.classNames().stream().anyMatch(HIDDEN::contains)
        || element.attr("style").replace(" ", "").contains("display:none")) {
      return "hidden";
    }
    String byTag = BY_TAG.get(element.normalName());
    if (byTag != null) {
      return byTag;
    }
    if (element.normalName().equals("header") && isOfSite(element)) {
      return "head of the site";
    }
    String byRole = BY_ROLE.get(element.attr("role").toLowerCase(Locale.ROOT));
    return byRole != null ? byRole : byName(element);
  }

  /** Teasers are short, or links. */
  private static boolean isRunningText(Element element) {
    return element.select("p, dd, li").stream()
        .anyMatch(
            part -> {
              int words = Words.count(part.text());
              return words >= RUNNING && Words.count(part.select("a").text()) < LINKED * words;
            });
  }

  /** The head of an article belongs to it. */
  private static boolean isOfSite(Element header) {
    return header.closest("article, main") == null && header.selectFirst("h1") == null;
  }

  private static @Nullable String byName(Element element) {
    String id = NAMED_BY_CONTENT.contains(element.normalName()) ? "" : element.id();
    for (String name : (element.className() + " " + id).split("\\s+")) {
      List<String> words = words(name);
      for (String word : words.size() > LONGEST_NAME ? List.<String>of() : words) {
        String reason = BY_NAME.get(word);
        if (reason != null && !(reason.equals(RELATED) && isRunningText(element))) {
          return reason;
        }
      }
    }
    return null;
  }

  /** "moreRelated-posts" as "more", "related", "posts". */
  private static List<String> words(String name) {
    String apart = name.replaceAll("([a-z])([A-Z])", "$1 $2");
    return Arrays.stream(apart.toLowerCase(Locale.ROOT).split("[^a-z]+")).toList();
  }
}
