package osmerin.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * The path of a request as it may stand in the log: who reads it could open links with the rest.
 */
public final class LoggedPath {
  /** Every token of a link is longer, and every word of an address shorter. */
  private static final int LONGEST_PART = 20;

  private static final int SHOWN = 4;

  private LoggedPath() {}

  /** The path, with the beginning of each long part only. */
  public static String of(HttpServletRequest request) {
    return of(request.getRequestURI());
  }

  static String of(String path) {
    return Arrays.stream(path.split("/", -1))
        .map(part -> part.length() > LONGEST_PART ? part.substring(0, SHOWN) + "…" : part)
        .collect(Collectors.joining("/"));
  }
}
