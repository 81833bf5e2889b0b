package osmerin.formats.text;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a file is that begins with a tag. */
public enum Markup {
  SITEMAP,
  FEED,
  WEB_PAGE,
  OTHER;

  private static final int LOOKED_AT = 4_096;

  /** Space and a byte order mark, in whatever encoding. */
  private static final Pattern BEFORE = Pattern.compile("^[\\s\u00ef\u00bb\u00bf\u00fe\u00ff]*");

  /** Followed by a tag, where that of a keyword about HTML is followed by words. */
  private static final Pattern ROOT =
      Pattern.compile(
          "<(?:\\w+:)?(urlset|sitemapindex|feed|rss|rdf|html)\\b[^>]*(?:>\\s*(?:<|$)|$)",
          Pattern.CASE_INSENSITIVE);

  /** Empty when the file begins with something else than a tag of XML or HTML. */
  public static Optional<Markup> of(byte[] bytes) {
    String beginning = BEFORE.matcher(beginning(bytes)).replaceFirst("");
    Matcher root = ROOT.matcher(beginning);
    if (beginning.startsWith("<") && root.find()) {
      return Optional.of(named(root.group(1)));
    }
    return beginning.matches("(?s)<[?!].*") ? Optional.of(OTHER) : Optional.empty();
  }

  private static Markup named(String root) {
    return switch (root.toLowerCase(Locale.ROOT)) {
      case "urlset", "sitemapindex" -> SITEMAP;
      case "html" -> WEB_PAGE;
      default -> FEED;
    };
  }

  /** UTF-16 shows as plain letters once the zeros between them are gone. */
  private static String beginning(byte[] bytes) {
    int length = Math.min(bytes.length, LOOKED_AT);
    return new String(bytes, 0, length, StandardCharsets.ISO_8859_1).replace("\0", "");
  }
}
