package osmerin.standins;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A blog host that is written to by Micropub (W3C Recommendation, 23 May 2017): create and update
 * an entry, ask for its source. It keeps what it has in a folder. Public are the pages, an index,
 * an Atom feed and a sitemap.
 *
 * <p>An entry may carry a {@code uid}. Creating a second entry with a uid that is there answers
 * with the first one's address instead, and {@code q=source} lists uid and address of all entries,
 * so that a client whose connection broke can find out what became of its request.
 */
public final class BlogHostStandIn implements AutoCloseable {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final BlogEntries entries;
  private final String token;
  private final LoopbackServer server;
  private final BlogPages pages;

  /**
   * Starts.
   *
   * @param port 0 for any free one
   * @param folder where entries are kept
   * @param token clients must show it as a bearer token
   */
  public BlogHostStandIn(int port, Path folder, String token, Clock clock) throws IOException {
    this.entries = new BlogEntries(folder, clock);
    this.token = token;
    this.server = new LoopbackServer(port, this::answer);
    this.pages = new BlogPages(entries, server.address());
  }

  public URI address() {
    return server.address();
  }

  /** Where entries are published to. */
  public URI micropub() {
    return address().resolve("/micropub");
  }

  /** Entries so far, for a test that nothing is published twice. */
  public int count() {
    return entries.all().size();
  }

  private Answer answer(HttpExchange request) throws IOException {
    String path = request.getRequestURI().getPath();
    if (!path.equals("/micropub")) {
      return pages.answer(path);
    }
    if (!("Bearer " + token).equals(request.getRequestHeaders().getFirst("Authorization"))) {
      return Answer.error(401, "unauthorized", "A valid bearer token is needed.");
    }
    return switch (request.getRequestMethod()) {
      case "GET" -> query(LoopbackServer.query(request));
      case "POST" -> post(request);
      default -> Answer.error(405, "invalid_request", "GET and POST only.");
    };
  }

  private Answer query(Map<String, String> query) {
    return switch (query.getOrDefault("q", "")) {
      case "config" -> Answer.json(200, Map.of("post-types", List.of(Map.of("type", "article"))));
      case "source" -> source(query.get("url"));
      default -> Answer.error(400, "invalid_request", "q is config or source.");
    };
  }

  private Answer source(String url) {
    if (url == null) {
      List<Map<String, Object>> items =
          entries.all().stream().map(e -> properties(e, false)).toList();
      return Answer.json(200, Map.of("items", items));
    }
    return entry(url)
        .map(e -> Answer.json(200, properties(e, true)))
        .orElseGet(() -> Answer.error(400, "invalid_request", "No entry has this address."));
  }

  private Map<String, Object> properties(BlogEntries.Entry entry, boolean content) {
    List<String> url = List.of(url(entry));
    Map<String, Object> properties =
        content
            ? Map.of(
                "uid", List.of(entry.uid()),
                "url", url,
                "name", List.of(entry.name()),
                "content", List.of(Map.of("html", entry.html())))
            : Map.of("uid", List.of(entry.uid()), "url", url, "name", List.of(entry.name()));
    return Map.of("type", List.of("h-entry"), "properties", properties);
  }

  private Answer post(HttpExchange request) throws IOException {
    String type = String.valueOf(request.getRequestHeaders().getFirst("Content-Type"));
    String body = new String(request.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
    if (type.startsWith("application/x-www-form-urlencoded")) {
      Map<String, String> form = LoopbackServer.parameters(body);
      return create(
          form.getOrDefault("uid", ""),
          form.getOrDefault("name", ""),
          form.getOrDefault("content", ""),
          form.getOrDefault("mp-slug", ""),
          form.getOrDefault("published", ""));
    }
    try {
      JsonNode json = JSON.readTree(body);
      return "update".equals(json.path("action").asString("")) ? update(json) : create(json);
    } catch (JacksonException e) {
      return Answer.error(400, "invalid_request", "The body is no JSON: " + e.getOriginalMessage());
    }
  }

  private Answer create(JsonNode json) throws IOException {
    JsonNode properties = json.path("properties");
    return create(
        first(properties, "uid"),
        first(properties, "name"),
        content(properties),
        first(properties, "mp-slug"),
        first(properties, "published"));
  }

  private Answer create(String uid, String name, String html, String slug, String published)
      throws IOException {
    if (name.isBlank() || html.isBlank()) {
      return Answer.error(400, "invalid_request", "An article needs a name and content.");
    }
    try {
      return Answer.created(url(entries.create(uid, name, html, slug, published)));
    } catch (DateTimeParseException e) {
      return Answer.error(400, "invalid_request", "published is no moment: " + published);
    }
  }

  private Answer update(JsonNode json) throws IOException {
    Optional<BlogEntries.Entry> entry = entry(json.path("url").asString(""));
    if (entry.isEmpty()) {
      return Answer.error(400, "invalid_request", "No entry has this address.");
    }
    JsonNode replace = json.path("replace");
    String name = replace.has("name") ? first(replace, "name") : entry.get().name();
    String html = replace.has("content") ? content(replace) : entry.get().html();
    entries.replace(entry.get(), name, html);
    return new Answer(204, "application/json", "", Map.of());
  }

  private Optional<BlogEntries.Entry> entry(String url) {
    return entries.all().stream().filter(e -> url(e).equals(url)).findFirst();
  }

  private String url(BlogEntries.Entry entry) {
    return address().resolve(entry.path()).toString();
  }

  private static String first(JsonNode properties, String name) {
    return properties.path(name).path(0).asString("");
  }

  private static String content(JsonNode properties) {
    JsonNode content = properties.path("content").path(0);
    return content.isObject() ? content.path("html").asString("") : content.asString("");
  }

  @Override
  public void close() {
    server.close();
  }
}
