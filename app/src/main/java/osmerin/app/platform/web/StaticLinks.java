package osmerin.app.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Links to pages stand as they are. Without this every link of a page is looked up among the static
 * files of all jars, which takes half the time of a page; only theirs get the version of the file.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class StaticLinks extends OncePerRequestFilter {
  private static final List<String> STATIC =
      List.of("/css/", "/fonts/", "/js/", "/webjars/", "/favicon");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(
        request,
        new HttpServletResponseWrapper(response) {
          @Override
          public String encodeURL(String url) {
            return STATIC.stream().anyMatch(url::startsWith) ? super.encodeURL(url) : url;
          }
        });
  }
}
