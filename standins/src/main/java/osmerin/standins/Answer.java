package osmerin.standins;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a stand-in answers.
 *
 * @param headers besides the content type
 */
record Answer(int status, String type, String body, Map<String, String> headers) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  static Answer json(int status, Object body) {
    return new Answer(status, "application/json", JSON.writeValueAsString(body), Map.of());
  }

  static Answer html(int status, String body) {
    return new Answer(status, "text/html; charset=utf-8", body, Map.of());
  }

  static Answer xml(String body) {
    return new Answer(200, "application/xml; charset=utf-8", body, Map.of());
  }

  /** An error in the form of Micropub, which the search stand-in uses too. */
  static Answer error(int status, String error, String description) {
    return json(status, Map.of("error", error, "error_description", description));
  }

  static Answer created(String location) {
    return new Answer(201, "application/json", "", Map.of("Location", location));
  }

  void send(HttpExchange exchange) throws IOException {
    byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.getResponseHeaders().set("X-Simulated", "true");
    headers.forEach(exchange.getResponseHeaders()::set);
    exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
    exchange.getResponseBody().write(bytes);
    exchange.close();
  }
}
