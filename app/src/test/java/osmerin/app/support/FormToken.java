package osmerin.app.support;

import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/**
 * The token of a form as a browser sends it. Spring's own helper for tests puts another repository
 * of tokens into the application, for all tests after it too.
 */
public final class FormToken {
  private static final String TOKEN = "a-token-of-a-test";

  private FormToken() {}

  /** In the cookie as it is, and in the form masked by as many bytes, here zeros. */
  public static RequestPostProcessor formToken() {
    byte[] token = TOKEN.getBytes(StandardCharsets.UTF_8);
    byte[] masked = new byte[2 * token.length];
    System.arraycopy(token, 0, masked, token.length, token.length);
    return request -> {
      request.setCookies(new Cookie("osmerin-form", TOKEN));
      request.setParameter("_csrf", Base64.getUrlEncoder().encodeToString(masked));
      return request;
    };
  }
}
