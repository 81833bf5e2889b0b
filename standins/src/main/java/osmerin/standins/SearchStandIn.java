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
 * /page?url=ADDRESS} the page behind one of them, {@code GET /knobs?delay=&failing=&stale=} makes
 * it misbehave, {@code GET /openapi.json} describes them. All of it is simulated, and every answer
 * says so.
 */
public final class SearchStandIn implements AutoCloseable {
  /**
   * How it misbehaves.
   *
   * @param delay before each answer, in milliseconds
   * @param failing the part of pages that are answered with 503, 0–1
   * @param stale whether it knows what ranked some months ago
   */
  public record Knobs(int delay, double failing, boolean stale) {
    /** It behaves. */
    public static final Knobs NONE = new Knobs(0, 0, false);
  }

  private final SimulatedWeb web = new SimulatedWeb();
  private final LoopbackServer server;
  private volatile Knobs knobs = Knobs.NONE;

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

  /** From now on it misbehaves so. */
  public void turn(Knobs to) {
    knobs = to;
  }

  private Answer answer(HttpExchange request) throws IOException {
    Map<String, String> query = LoopbackServer.query(request);
    if (request.getRequestURI().getPath().equals("/knobs")) {
      return knobs(query);
    }
    waitAWhile();
    return switch (request.getRequestURI().getPath()) {
      case "/search" -> search(query.getOrDefault("q", ""));
      case "/page" -> page(query.getOrDefault("url", ""));
      case "/openapi.json" -> description();
      default ->
          Answer.error(404, "not_found", "There is /search, /page, /knobs and /openapi.json.");
    };
  }

  private Answer knobs(Map<String, String> query) {
    turn(
        new Knobs(
            Math.min(60_000, Integer.parseInt(query.getOrDefault("delay", "0"))),
            Double.parseDouble(query.getOrDefault("failing", "0")),
            Boolean.parseBoolean(query.getOrDefault("stale", "false"))));
    Knobs now = knobs;
    return Answer.json(
        200, Map.of("delay", now.delay(), "failing", now.failing(), "stale", now.stale()));
  }

  private void waitAWhile() {
    try {
      Thread.sleep(knobs.delay());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private Answer search(String phrase) {
    if (phrase.isBlank()) {
      return Answer.error(
          400, "invalid_request", "The parameter q holds the phrase to search for.");
    }
    SimulatedWeb.Found found = web.search(phrase, knobs.stale());
    List<Map<String, Object>> results = new ArrayList<>();
    for (SimulatedWeb.Page page : found.pages()) {
      Map<String, Object> result = new LinkedHashMap<>();
      result.put("position", results.size() + 1);
      result.put("url", page.address());
      result.put("title", page.title());
      results.add(result);
    }
    Map<String, Object> answer = new LinkedHashMap<>();
    answer.put("query", phrase);
    answer.put("simulated", true);
    if (found.nearest()) {
      answer.put("about", found.subject());
    }
    answer.put("results", results);
    return Answer.json(200, answer);
  }

  private Answer page(String address) {
    // By the address, so that the same pages fail each time.
    if (Math.floorMod(address.hashCode(), 1_000) < 1_000 * knobs.failing()) {
      return Answer.error(503, "busy", "Simulated: this page is not to be had now.");
    }
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
