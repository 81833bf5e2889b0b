package osmerin.standins;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A search service: {@code GET /search?q=PHRASE} gives the ranking pages of a phrase, {@code GET
 * /page?url=ADDRESS} the page behind one of them, {@code GET /openapi.json} describes both. All of
 * it is simulated, and every answer says so.
 */
public final class SearchStandIn implements AutoCloseable {
  private static final int RESULTS = 10;

  private final SimulatedWeb web = new SimulatedWeb();
  private final LoopbackServer server;

  /**
   * Starts.
   *
   * @param port 0 for any free one
   */
  public SearchStandIn(int port) throws IOException {
    server = new LoopbackServer(port, this::answer);
  }

  public URI address() {
    return server.address();
  }

  private Answer answer(HttpExchange request) throws IOException {
    Map<String, String> query = LoopbackServer.query(request);
    return switch (request.getRequestURI().getPath()) {
      case "/search" -> search(query.getOrDefault("q", ""));
      case "/page" -> page(query.getOrDefault("url", ""));
      case "/openapi.json" -> description();
      default -> Answer.error(404, "not_found", "There is /search, /page and /openapi.json.");
    };
  }

  private Answer search(String phrase) {
    if (phrase.isBlank()) {
      return Answer.error(
          400, "invalid_request", "The parameter q holds the phrase to search for.");
    }
    List<Map<String, Object>> results = new ArrayList<>();
    for (int position = 1; position <= RESULTS; position++) {
      SimulatedWeb.Page page = web.page(phrase, position);
      Map<String, Object> result = new LinkedHashMap<>();
      result.put("position", position);
      result.put("url", page.address());
      result.put("title", page.title());
      results.add(result);
    }
    return Answer.json(200, Map.of("query", phrase, "simulated", true, "results", results));
  }

  private Answer page(String address) {
    return web.find(address)
        .map(page -> Answer.html(200, page.html()))
        .orElseGet(() -> Answer.error(404, "not_found", "No such page was found by a search."));
  }

  private static Answer description() throws IOException {
    try (InputStream file = SearchStandIn.class.getResourceAsStream("/search/openapi.json")) {
      String text = new String(file.readAllBytes(), StandardCharsets.UTF_8);
      return new Answer(200, "application/json", text, Map.of());
    }
  }

  @Override
  public void close() {
    server.close();
  }
}
