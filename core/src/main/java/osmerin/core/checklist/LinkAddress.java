package osmerin.core.checklist;

import java.util.Locale;
import java.util.Optional;
import osmerin.core.keyword.PageAddress;

/**
 * Where a link of a draft leads: a page of the site ("/moon", "moon", "?x=1"), a place on the page
 * itself ("#top"), or an address with a scheme or a host.
 */
final class LinkAddress {
  private static final String SIGNS_OF_SCHEMES = "+.-";

  private final String plain;
  private final String scheme;
  private final String rest;

  /**
   * @param typed as it stands in the draft, of any length
   */
  LinkAddress(String typed) {
    plain = typed.strip().toLowerCase(Locale.ROOT);
    int colon = schemeEnd(plain);
    scheme = plain.substring(0, Math.max(0, colon));
    rest = plain.substring(colon + 1);
  }

  /** The place of the colon behind a scheme, −1 when there is none. */
  private static int schemeEnd(String address) {
    for (int i = 0; i < address.length(); i++) {
      char sign = address.charAt(i);
      boolean letter = sign >= 'a' && sign <= 'z';
      boolean other = sign >= '0' && sign <= '9' || SIGNS_OF_SCHEMES.indexOf(sign) >= 0;
      if (sign == ':' && i > 0) {
        return i;
      }
      if (!letter && (i == 0 || !other)) {
        return -1;
      }
    }
    return -1;
  }

  /** Whether it leads to another page of the site, whatever the site's host. */
  boolean isWithinSite() {
    return scheme.isEmpty() && !rest.startsWith("//") && !plain.startsWith("#");
  }

  /** The host of a page of the web in its normal form; empty for everything else. */
  Optional<String> host() {
    return isOfWeb() ? PageAddress.of(plain).map(PageAddress::host) : Optional.empty();
  }

  /** With a host, whether its scheme is said or not. */
  private boolean isOfWeb() {
    boolean web = scheme.isEmpty() || scheme.equals("http") || scheme.equals("https");
    return web && rest.startsWith("//") && rest.length() > 2 && rest.charAt(2) != '/';
  }

  /** Whether something can be meant by it: it has no space, and what its scheme asks for. */
  boolean isSound() {
    if (plain.isEmpty() || plain.equals("#") || plain.chars().anyMatch(Character::isWhitespace)) {
      return false;
    }
    return switch (scheme) {
      case "" -> !rest.startsWith("//") || isOfWeb();
      case "http", "https" -> isOfWeb();
      case "mailto" -> rest.indexOf('@') > 0 && rest.indexOf('@') < rest.length() - 1;
      case "tel" -> !rest.isEmpty();
      default -> false;
    };
  }
}
