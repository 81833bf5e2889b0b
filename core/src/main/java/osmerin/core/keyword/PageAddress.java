package osmerin.core.keyword;

import java.net.IDN;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A web address in the form in which ranking pages are compared: host in lower case and ASCII
 * (IDNA) without "www.", no scheme, no default port, no fragment, no trailing slash, no tracking
 * parameters, the other parameters sorted, percent-encoding of unreserved characters (RFC 3986,
 * section 2.3) undone.
 */
public record PageAddress(String value) {
  private static final Pattern PORT = Pattern.compile("\\d{1,5}");
  private static final Set<String> SCHEMES = Set.of("", "http", "https");
  private static final Set<String> TRACKING = Set.of("gclid", "fbclid", "msclkid", "ref");

  /** The normal form, or empty when the text is not a web address. */
  public static Optional<PageAddress> of(String text) {
    String rest = text.strip();
    int schemeEnd = rest.indexOf("://");
    String scheme = schemeEnd < 0 ? "" : rest.substring(0, schemeEnd).toLowerCase(Locale.ROOT);
    if (schemeEnd >= 0) {
      rest = rest.substring(schemeEnd + 3);
    } else if (rest.startsWith("//")) {
      rest = rest.substring(2);
    }
    if (!SCHEMES.contains(scheme) || (schemeEnd == 0)) {
      return Optional.empty();
    }
    rest = before(rest, '#');
    int hostEnd = firstOf(rest, "/?");
    Optional<String> host = host(rest.substring(0, hostEnd), scheme);
    String tail = rest.substring(hostEnd);
    return host.map(h -> new PageAddress(h + pathAndQuery(tail)));
  }

  /** The host part. */
  public String host() {
    return value.substring(0, firstOf(value, "/?:"));
  }

  /**
   * The last part of the path in words: "night fishing" for "eels.example/2024/night-fishing.html".
   */
  public String words() {
    int slash = value.lastIndexOf('/');
    return slash < 0
        ? ""
        : value
            .substring(slash + 1)
            .replaceFirst("\\.\\w+$", "")
            .replaceAll("[-_+.?=&%]+", " ")
            .strip();
  }

  private static String before(String text, char sign) {
    int at = text.indexOf(sign);
    return at < 0 ? text : text.substring(0, at);
  }

  private static int firstOf(String text, String signs) {
    for (int i = 0; i < text.length(); i++) {
      if (signs.indexOf(text.charAt(i)) >= 0) {
        return i;
      }
    }
    return text.length();
  }

  private static Optional<String> host(String authority, String scheme) {
    String hostAndPort = authority.substring(authority.lastIndexOf('@') + 1);
    String host = before(hostAndPort, ':');
    String port =
        host.length() == hostAndPort.length() ? "" : hostAndPort.substring(host.length() + 1);
    String ascii = ascii(host);
    if (!isHost(ascii)) {
      return Optional.empty();
    }
    if (!port.isEmpty() && !PORT.matcher(port).matches()) {
      return Optional.empty();
    }
    String bare =
        ascii.startsWith("www.") && ascii.indexOf('.', 4) > 0 ? ascii.substring(4) : ascii;
    return Optional.of(isDefault(port, scheme) ? bare : bare + ":" + port);
  }

  private static boolean isDefault(String port, String scheme) {
    return switch (scheme) {
      case "http" -> port.isEmpty() || port.equals("80");
      case "https" -> port.isEmpty() || port.equals("443");
      default -> port.isEmpty() || port.equals("80") || port.equals("443");
    };
  }

  /** Letters, digits, hyphens and at least one point, which neither begins, ends nor doubles. */
  private static boolean isHost(String text) {
    int points = 0;
    char before = '.';
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      boolean letter = (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9');
      boolean sign = (c == '.' && before != '.') || (c == '-' && i > 0 && i < text.length() - 1);
      if (!letter && !sign) {
        return false;
      }
      points += c == '.' ? 1 : 0;
      before = c;
    }
    return points > 0 && before != '.';
  }

  private static boolean isAscii(String text) {
    for (int i = 0; i < text.length(); i++) {
      if (text.charAt(i) >= 128) {
        return false;
      }
    }
    return true;
  }

  private static String ascii(String host) {
    try {
      String text = host.endsWith(".") ? host.substring(0, host.length() - 1) : host;
      if (isAscii(text)) {
        return text.toLowerCase(Locale.ROOT);
      }
      return IDN.toASCII(text, IDN.ALLOW_UNASSIGNED).toLowerCase(Locale.ROOT);
    } catch (IllegalArgumentException e) {
      return "";
    }
  }

  private static String pathAndQuery(String text) {
    String path = unescape(before(text, '?'));
    int end = path.length();
    while (end > 0 && path.charAt(end - 1) == '/') {
      end--;
    }
    int question = text.indexOf('?');
    String kept = question < 0 ? "" : keptParameters(text.substring(question + 1));
    return kept.isEmpty() ? path.substring(0, end) : path.substring(0, end) + "?" + kept;
  }

  private static String keptParameters(String query) {
    return Arrays.stream(query.split("&"))
        .filter(parameter -> !parameter.isEmpty() && !isTracking(before(parameter, '=')))
        .map(PageAddress::unescape)
        .sorted()
        .collect(Collectors.joining("&"));
  }

  private static boolean isTracking(String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    return lower.startsWith("utm_") || TRACKING.contains(lower);
  }

  /**
   * Undoes %XX of unreserved characters, writes every other %XX in upper case, escapes the rest.
   */
  private static String unescape(String text) {
    if (text.indexOf('%') < 0 && isAscii(text)) {
      return text;
    }
    StringBuilder out = new StringBuilder(text.length());
    for (int i = 0; i < text.length(); ) {
      int c = text.codePointAt(i);
      int code = c == '%' ? hex(text, i + 1) : -1;
      if (code >= 0) {
        out.append(
            isUnreserved(code)
                ? String.valueOf((char) code)
                : String.format(Locale.ROOT, "%%%02X", code));
        i += 3;
      } else {
        appendEscaped(out, c);
        i += Character.charCount(c);
      }
    }
    return out.toString();
  }

  private static void appendEscaped(StringBuilder out, int codePoint) {
    if (codePoint < 128) {
      out.append((char) codePoint);
      return;
    }
    for (byte b : Character.toString(codePoint).getBytes(StandardCharsets.UTF_8)) {
      out.append(String.format(Locale.ROOT, "%%%02X", b & 0xFF));
    }
  }

  private static int hex(String text, int at) {
    if (at + 2 > text.length()) {
      return -1;
    }
    int high = Character.digit(text.charAt(at), 16);
    int low = Character.digit(text.charAt(at + 1), 16);
    return high < 0 || low < 0 ? -1 : high * 16 + low;
  }

  private static boolean isUnreserved(int code) {
    return (code >= 'a' && code <= 'z')
        || (code >= 'A' && code <= 'Z')
        || (code >= '0' && code <= '9')
        || "-._~".indexOf(code) >= 0;
  }

  @Override
  public String toString() {
    return value;
  }
}
