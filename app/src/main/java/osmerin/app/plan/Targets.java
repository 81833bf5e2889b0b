package osmerin.app.plan;

import java.util.Map;

/** A month's targets. */
public record Targets(int newArticles, int refreshes) {
  String words() {
    return newArticles + " new and " + refreshes + " refreshed";
  }

  /** The fields of the form that say which targets were seen. */
  Map<String, String> asSeen() {
    return Map.of(
        "seenNew", String.valueOf(newArticles), "seenRefreshes", String.valueOf(refreshes));
  }
}
