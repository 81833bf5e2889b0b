package osmerin.app.publishing;

import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import java.net.URI;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.client.ResourceAccessException;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestClientResponseException;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.platform.outside.OutsideCalls;
import osmerin.app.platform.outside.OutsideHttp;
import tools.jackson.databind.JsonNode;

/** A blog host that speaks Micropub (W3C Recommendation, 23 May 2017), in JSON. */
@Component
class MicropubBlogHost implements BlogHost {
  private static final String SIMULATED = "X-Simulated";
  private static final Set<Integer> UPDATED = Set.of(200, 201, 204);

  private final String endpoint;
  private final String token;
  private final RestClient http = OutsideHttp.client();
  private final OutsideCalls calls = new OutsideCalls("blog host");

  MicropubBlogHost(
      @Value("${osmerin.blog-host.micropub}") String endpoint,
      @Value("${osmerin.blog-host.token}") String token) {
    this.endpoint = endpoint;
    this.token = token;
  }

  @Override
  public boolean isConnected() {
    return !endpoint.isBlank();
  }

  @Override
  public String name() {
    String host = isConnected() ? URI.create(endpoint).getHost() : null;
    return host == null ? "" : host;
  }

  @Override
  public Published create(Entry entry) {
    Map<String, Object> properties = new LinkedHashMap<>(text(entry));
    properties.put("uid", List.of(entry.uid()));
    if (entry.published() != null) {
      properties.put("published", List.of(entry.published().toString()));
    }
    Map<String, Object> body = Map.of("type", List.of("h-entry"), "properties", properties);
    ResponseEntity<Void> answer = ask(() -> calls.once(() -> post(body)));
    return switch (answer.getStatusCode().value()) {
      case 201 -> created(answer.getHeaders());
      case 202 -> find(entry.uid()).orElseThrow(MicropubBlogHost::notYet);
      default -> throw unexpected(answer);
    };
  }

  /** What an article says, as the properties of an entry. */
  private static Map<String, Object> text(Entry entry) {
    Map<String, Object> text = new LinkedHashMap<>();
    text.put("name", List.of(entry.title()));
    text.put("content", List.of(Map.of("html", entry.html())));
    if (entry.summary() != null) {
      text.put("summary", List.of(entry.summary()));
    }
    return text;
  }

  private static Published created(HttpHeaders headers) {
    String location = headers.getFirst(HttpHeaders.LOCATION);
    if (location == null || location.isBlank()) {
      throw new PublishingFailedException("The blog host took the article but named no address.");
    }
    return new Published(location, headers.containsHeader(SIMULATED));
  }

  private static PublishingFailedException notYet() {
    return new PublishingFailedException(
        "The blog host took the article and has not published it yet. Try again in a minute.");
  }

  private static PublishingFailedException unexpected(ResponseEntity<?> answer) {
    return new PublishingFailedException(
        "The blog host answered %s, which does not say that it published anything."
            .formatted(answer.getStatusCode().value()));
  }

  @Override
  public Published update(String address, Entry entry) {
    Map<String, Object> body = Map.of("action", "update", "url", address, "replace", text(entry));
    ResponseEntity<Void> answer = ask(() -> calls.repeated(() -> post(body)));
    if (!UPDATED.contains(answer.getStatusCode().value())) {
      throw unexpected(answer);
    }
    // A host may move the page and say so; else the address stays.
    String location = answer.getHeaders().getFirst(HttpHeaders.LOCATION);
    return new Published(
        location == null ? address : location, answer.getHeaders().containsHeader(SIMULATED));
  }

  @Override
  public Optional<Published> find(String uid) {
    ResponseEntity<JsonNode> answer = source(Map.of());
    boolean simulated = answer.getHeaders().containsHeader(SIMULATED);
    JsonNode items = body(answer).path("items");
    if (!items.isArray()) {
      throw new PublishingFailedException(
          "The blog host was asked what it has, and its answer names no articles.");
    }
    for (JsonNode item : items) {
      JsonNode properties = item.path("properties");
      if (uid.equals(properties.path("uid").path(0).asString(""))) {
        return Optional.of(new Published(properties.path("url").path(0).asString(""), simulated));
      }
    }
    return Optional.empty();
  }

  @Override
  public Optional<String> text(String address) {
    JsonNode content = body(source(Map.of("url", address))).path("properties").path("content");
    JsonNode first = content.path(0);
    String text = first.isString() ? first.asString() : first.path("html").asString("");
    return text.isBlank() ? Optional.empty() : Optional.of(text);
  }

  private ResponseEntity<JsonNode> source(Map<String, String> query) {
    UriComponentsBuilder uri =
        UriComponentsBuilder.fromUriString(endpoint).queryParam("q", "source");
    query.keySet().forEach(name -> uri.queryParam(name, "{" + name + "}"));
    return ask(
        () ->
            calls.repeated(
                () ->
                    http.get()
                        .uri(uri.encode().buildAndExpand(query).toUri())
                        .headers(h -> h.setBearerAuth(token))
                        .retrieve()
                        .toEntity(JsonNode.class)));
  }

  private static JsonNode body(ResponseEntity<JsonNode> answer) {
    JsonNode body = answer.getBody();
    if (body == null || answer.getStatusCode().value() != 200) {
      throw new PublishingFailedException(
          "The blog host was asked what it has and answered nothing (%s)."
              .formatted(answer.getStatusCode().value()));
    }
    return body;
  }

  private ResponseEntity<Void> post(Map<String, Object> body) {
    return http.post()
        .uri(endpoint)
        .headers(h -> h.setBearerAuth(token))
        .contentType(MediaType.APPLICATION_JSON)
        .body(body)
        .retrieve()
        .toBodilessEntity();
  }

  private <T> T ask(Supplier<T> request) {
    if (!isConnected()) {
      throw new PublishingFailedException(
          "No blog host is connected. Set one with --blog-host when you start Osmerin.");
    }
    try {
      return request.get();
    } catch (CallNotPermittedException e) {
      throw new PublishingFailedException(
          "The blog host has failed several times in a row and is asked again in a moment.", e);
    } catch (ResourceAccessException e) {
      throw new PublishingFailedException("The blog host does not answer.", e);
    } catch (RestClientResponseException e) {
      throw new PublishingFailedException(
          "The blog host refused the article (" + e.getStatusCode().value() + ").", e);
    } catch (RestClientException e) {
      throw new PublishingFailedException("The blog host's answer cannot be read.", e);
    }
  }
}
