package osmerin.app.publishing;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import osmerin.app.publishing.BlogHost.PublishingFailedException;
import osmerin.app.site.Site;
import osmerin.core.text.Shortened;

/**
 * Which addresses a blog host may give for a page: those on the host itself and those of the site.
 *
 * @param host name of the connected host
 */
record PublishedAddress(String host, Site site) {

  /**
   * What the host answered, once it proves to be the address of a page of this blog.
   *
   * @throws PublishingFailedException when it does not
   */
  String checked(String answered) {
    if (hostOf(answered) == null) {
      throw new PublishingFailedException(
          "The blog host answered with “%s”, which is not the address of a page."
              .formatted(Shortened.of(answered)));
    }
    if (!covers(answered)) {
      throw new PublishingFailedException(
          "The blog host answered with an address outside of this blog: %s."
              .formatted(Shortened.of(answered)));
    }
    return answered;
  }

  /** Whether an address lies on the host or in the site. */
  boolean covers(String address) {
    String its = hostOf(address);
    return its != null && (its.equals(plain(host)) || isWithin(its, plain(siteHost())));
  }

  private static boolean isWithin(String its, String site) {
    return !site.isEmpty() && (its.equals(site) || its.endsWith("." + site));
  }

  private String siteHost() {
    return site.address().replaceFirst("^[a-zA-Z]+://", "").replaceFirst("[/:].*$", "").strip();
  }

  private static String plain(String host) {
    return host.toLowerCase(Locale.ROOT).replaceFirst("^www\\.", "");
  }

  /** Null when it is no absolute address of a page, or one with a person's name in it. */
  private static @Nullable String hostOf(String address) {
    try {
      URI uri = new URI(address);
      String scheme = uri.getScheme() == null ? "" : uri.getScheme().toLowerCase(Locale.ROOT);
      boolean isPage = scheme.equals("http") || scheme.equals("https");
      return isPage && uri.getHost() != null && uri.getUserInfo() == null
          ? plain(uri.getHost())
          : null;
    } catch (URISyntaxException e) {
      return null;
    }
  }
}
