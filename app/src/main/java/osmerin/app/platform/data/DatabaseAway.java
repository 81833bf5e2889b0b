package osmerin.app.platform.data;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTransientConnectionException;
import org.jspecify.annotations.Nullable;
import org.postgresql.util.PSQLException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;
import osmerin.app.platform.LoggedPath;

/**
 * A page of ours while the database cannot be reached. It stands before everything else, since
 * sessions are in the database too, and needs none of it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DatabaseAway extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

  /** What is wrong, and what to do. */
  public static final String TITLE = "Osmerin cannot reach its database";

  public static final String TEXT =
      "Nothing was changed by this request. What you typed is still in the form: go back, wait a"
          + " moment and send it again.";

  private static final String PAGE =
      """
      <!doctype html>
      <html lang="en"><head><meta charset="utf-8"><title>%s</title></head>
      <body><main><h1>%s</h1><p>%s</p><p><a href="/">Try again</a></p></main></body></html>
      """
          .formatted(TITLE, TITLE, TEXT);

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException e) {
      if (!isAway(e) || response.isCommitted()) {
        throw e;
      }
      LOG.warn("{} {}: the database is away", request.getMethod(), LoggedPath.of(request));
      say(response);
    }
  }

  /** Whether something failed because no connection could be had, or it broke. */
  public static boolean isAway(@Nullable Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      boolean connection =
          cause instanceof SQLTransientConnectionException
              || cause instanceof SQLNonTransientConnectionException
              || cause instanceof PSQLException broken && isOfConnection(broken.getSQLState());
      if (connection || cause instanceof TransactionSystemException end && isAwayBefore(end)) {
        return true;
      }
    }
    return false;
  }

  /** A transaction that cannot even be rolled back failed before, for that reason or another. */
  private static boolean isAwayBefore(TransactionSystemException end) {
    return isAway(end.getOriginalException());
  }

  /** Class 08, connection exception, and 57P: the server is being shut down or started. */
  private static boolean isOfConnection(@Nullable String state) {
    return state != null && (state.startsWith("08") || state.startsWith("57P"));
  }

  private static void say(HttpServletResponse response) throws IOException {
    response.reset();
    response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
    response.setHeader("Retry-After", "5");
    response.setHeader("Content-Security-Policy", "default-src 'none'");
    response.setHeader("Cache-Control", "no-store");
    response.setContentType("text/html;charset=UTF-8");
    response.getOutputStream().write(PAGE.getBytes(StandardCharsets.UTF_8));
  }
}
