package osmerin.app.platform.security;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.security.web.savedrequest.SimpleSavedRequest;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.web.util.WebUtils;

/**
 * The page that somebody asked for who has to sign in first, kept in a cookie, so that a visit
 * without signing in leaves no session. It is a path on this server, whatever the cookie holds; of
 * a part of a page it is the page that asked for it.
 */
final class PageAfterSignIn implements RequestCache {
  static final RequestMatcher PART_OF_A_PAGE = new RequestHeaderRequestMatcher("HX-Request");

  private static final String COOKIE = "osmerin-page";
  private static final int LONGEST = 1_000;
  private static final int MINUTES = 30;

  @Override
  public void saveRequest(HttpServletRequest request, HttpServletResponse response) {
    Optional<String> page = PART_OF_A_PAGE.matches(request) ? asking(request) : asked(request);
    page.filter(PageAfterSignIn::isHere)
        .ifPresent(path -> write(request, response, encoded(path), MINUTES * 60));
  }

  private static Optional<String> asked(HttpServletRequest request) {
    String query = request.getQueryString();
    return "GET".equals(request.getMethod())
        ? Optional.of(request.getRequestURI() + (query == null ? "" : "?" + query))
        : Optional.empty();
  }

  private static Optional<String> asking(HttpServletRequest request) {
    try {
      return Optional.ofNullable(request.getHeader("HX-Current-URL"))
          .map(URI::create)
          .filter(page -> page.getRawPath() != null)
          .map(
              page ->
                  page.getRawPath() + (page.getRawQuery() == null ? "" : "?" + page.getRawQuery()));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Two slashes, or one and a backslash, would lead to another server. */
  private static boolean isHere(String path) {
    return path.length() <= LONGEST && path.matches("/(?![/\\\\])[!-~]*");
  }

  @Override
  public @Nullable SavedRequest getRequest(
      HttpServletRequest request, HttpServletResponse response) {
    Cookie kept = WebUtils.getCookie(request, COOKIE);
    return kept == null
        ? null
        : decoded(kept.getValue())
            .filter(PageAfterSignIn::isHere)
            .map(SimpleSavedRequest::new)
            .orElse(null);
  }

  @Override
  public @Nullable HttpServletRequest getMatchingRequest(
      HttpServletRequest request, HttpServletResponse response) {
    return null;
  }

  @Override
  public void removeRequest(HttpServletRequest request, HttpServletResponse response) {
    if (WebUtils.getCookie(request, COOKIE) != null) {
      write(request, response, "", 0);
    }
  }

  private static void write(
      HttpServletRequest request, HttpServletResponse response, String value, int seconds) {
    ResponseCookie cookie =
        ResponseCookie.from(COOKIE, value)
            .path("/")
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Lax")
            .maxAge(seconds)
            .build();
    response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
  }

  private static String encoded(String path) {
    return Base64.getUrlEncoder()
        .withoutPadding()
        .encodeToString(path.getBytes(StandardCharsets.UTF_8));
  }

  private static Optional<String> decoded(String value) {
    try {
      return Optional.of(new String(Base64.getUrlDecoder().decode(value), StandardCharsets.UTF_8));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
