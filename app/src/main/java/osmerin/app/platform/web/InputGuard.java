package osmerin.app.platform.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import osmerin.core.text.Counted;
import osmerin.core.text.Shortened;

/**
 * Turns away, before anything is done, what no form of ours sends: names and values that cannot be
 * decoded, control characters other than tabs and line ends, which no database keeps and no page
 * shows, and texts of 10,000 characters where a few words are meant.
 */
public final class InputGuard extends OncePerRequestFilter {
  /** Where the page for errors finds what was wrong. */
  public static final String FAULT = "osmerin.fault";

  private static final String BY_LINK = "/by-link/";

  /** Bytes of a file of 20 MB and what stands around it in a form. */
  private static final long MOST_BY_LINK = 21L << 20;

  /**
   * Fields that are written in, before any brackets; whoever takes them says how long they may be.
   */
  private static final Set<String> WRITTEN =
      Set.of(
          "adds",
          "byHand",
          "file",
          "keywords",
          "names",
          "recipe",
          "secondary",
          "seen",
          "text",
          "texts",
          "what");

  /** Characters of every other field: no title, day or address has nearly as many. */
  private static final int LONGEST = 10_000;

  /** A field of a map: "people[second reader]". Ours have no other brackets. */
  private static final Pattern BRACKETED = Pattern.compile("[^\\[\\]]+\\[[^\\[\\]]*]");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (isTooMuchByLink(request)) {
      response.sendError(HttpStatus.CONTENT_TOO_LARGE.value());
      return;
    }
    if (isErrorPageItself(request)) {
      response.sendError(HttpStatus.NOT_FOUND.value());
      return;
    }
    Optional<String> fault = fault(request);
    if (fault.isPresent()) {
      request.setAttribute(FAULT, fault.get());
      response.sendError(HttpStatus.BAD_REQUEST.value());
    } else {
      chain.doFilter(request, response);
    }
  }

  /** Whoever has no account sends no more than a file, and says beforehand how much. */
  private static boolean isTooMuchByLink(HttpServletRequest request) {
    // Decoded it stands in the servlet's path, unless the servlet is mapped to everything.
    boolean isByLink =
        request.getServletPath().startsWith(BY_LINK) || request.getRequestURI().startsWith(BY_LINK);
    boolean isSending = isByLink && !"GET".equals(request.getMethod());
    long length = request.getContentLengthLong();
    boolean isUnsaid = length < 0 && request.getHeader("Transfer-Encoding") != null;
    return isSending && (length > MOST_BY_LINK || isUnsaid);
  }

  /** Nothing went wrong, yet somebody asks for the page that says so. */
  private static boolean isErrorPageItself(HttpServletRequest request) {
    return request.getDispatcherType() == DispatcherType.REQUEST
        && "/error".equals(request.getServletPath());
  }

  private static Optional<String> fault(HttpServletRequest request) {
    Map<String, String[]> fields;
    try {
      fields = request.getParameterMap();
    } catch (IllegalStateException e) {
      // Tomcat's word for what cannot be decoded, and for too many fields.
      return Optional.of(
          "The address or the form cannot be decoded, or has too many fields. Nothing was changed.");
    }
    return fields.entrySet().stream()
        .flatMap(field -> fault(field.getKey(), field.getValue()).stream())
        .findFirst();
  }

  private static Optional<String> fault(String name, String[] values) {
    if (hasControl(name)) {
      return Optional.of("The name of a field contains a control character. Nothing was changed.");
    }
    if (name.contains("[") && !BRACKETED.matcher(name).matches()) {
      return Optional.of(
          "A field has a name with brackets that no form here has. Nothing was changed.");
    }
    for (String value : values) {
      if (value.length() > LONGEST && !WRITTEN.contains(name.split("\\[", 2)[0])) {
        return Optional.of(
            "The field “%s” has more than %s characters. Nothing was changed."
                .formatted(Shortened.of(name), Counted.of(LONGEST)));
      }
      if (hasControl(value)) {
        return Optional.of(
            "The field “%s” contains a control character, which cannot be stored. Nothing was changed."
                .formatted(name));
      }
    }
    return Optional.empty();
  }

  private static boolean hasControl(String text) {
    return text.chars().anyMatch(InputGuard::isControl);
  }

  private static boolean isControl(int letter) {
    return letter < ' ' && letter != '\t' && letter != '\n' && letter != '\r' || letter == 0x7F;
  }
}
