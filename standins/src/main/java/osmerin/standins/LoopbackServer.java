package osmerin.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** An HTTP server on the loopback address that answers with {@link Answer}s. */
final class LoopbackServer implements AutoCloseable {
  /** Answers one request. */
  interface Handler {
    Answer answer(HttpExchange request) throws IOException;
  }

  private final HttpServer server;
  private final ExecutorService threads = Executors.newFixedThreadPool(4);

  /**
   * Starts.
   *
   * @param port 0 for any free one
   */
  LoopbackServer(int port, Handler handler) throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    server.setExecutor(threads);
    server.createContext("/", exchange -> handle(exchange, handler));
    server.start();
  }

  private static void handle(HttpExchange exchange, Handler handler) throws IOException {
    Answer answer;
    try {
      answer = handler.answer(exchange);
    } catch (IllegalArgumentException e) {
      answer = Answer.error(400, "invalid_request", String.valueOf(e.getMessage()));
    }
    answer.send(exchange);
  }

  URI address() {
    return URI.create("http://127.0.0.1:" + server.getAddress().getPort());
  }

  static Map<String, String> parameters(String query) {
    Map<String, String> parameters = new LinkedHashMap<>();
    for (String pair : query.split("&")) {
      int at = pair.indexOf('=');
      if (at > 0) {
        parameters.put(decoded(pair.substring(0, at)), decoded(pair.substring(at + 1)));
      }
    }
    return parameters;
  }

  static Map<String, String> query(HttpExchange request) {
    String query = request.getRequestURI().getRawQuery();
    return query == null ? Map.of() : parameters(query);
  }

  private static String decoded(String text) {
    return URLDecoder.decode(text, StandardCharsets.UTF_8);
  }

  @Override
  public void close() {
    server.stop(0);
    threads.shutdownNow();
  }
}
