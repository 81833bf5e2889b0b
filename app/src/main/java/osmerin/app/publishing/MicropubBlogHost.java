package osmerin.app.publishing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import osmerin.app.platform.web.OutsideHttp;
import tools.jackson.databind.JsonNode;

/** A blog host that speaks Micropub (W3C Recommendation, 23 May 2017), in JSON. */
@Component
class MicropubBlogHost implements BlogHost {
  private static final String SIMULATED = "X-Simulated";

  private final String endpoint;
  private final String token;
  private final RestClient http = OutsideHttp.client();

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
  public Published create(Entry entry) {
    Map<String, Object> properties = new LinkedHashMap<>();
    properties.put("uid", List.of(entry.uid()));
    properties.put("name", List.of(entry.title()));
    properties.put("content", List.of(Map.of("html", entry.html())));
    if (entry.published() != null) {
      properties.put("published", List.of(entry.published().toString()));
    }
    Map<String, Object> body = Map.of("type", List.of("h-entry"), "properties", properties);
    HttpHeaders headers = post(body).getHeaders();
    if (headers.getLocation() == null) {
      throw new PublishingFailedException("The blog host took the article but named no address.");
    }
    return new Published(headers.getLocation().toString(), headers.containsHeader(SIMULATED));
  }

  @Override
  public Published update(String address, Entry entry) {
    Map<String, Object> body =
        Map.of(
            "action",
            "update",
            "url",
            address,
            "replace",
            Map.of(
                "name", List.of(entry.title()),
                "content", List.of(Map.of("html", entry.html()))));
    HttpHeaders headers = post(body).getHeaders();
    // A host may move the page and say so; else the address stays.
    String now = headers.getLocation() == null ? address : headers.getLocation().toString();
    return new Published(now, headers.containsHeader(SIMULATED));
  }

  @Override
  public Optional<Published> find(String uid) {
    ResponseEntity<JsonNode> answer =
        ask(
            () ->
                http.get()
                    .uri(endpoint + "?q=source")
                    .headers(h -> h.setBearerAuth(token))
                    .retrieve()
                    .toEntity(JsonNode.class));
    boolean simulated = answer.getHeaders().containsHeader(SIMULATED);
    for (JsonNode item : answer.getBody().path("items")) {
      JsonNode properties = item.path("properties");
      if (uid.equals(properties.path("uid").path(0).asString(""))) {
        return Optional.of(new Published(properties.path("url").path(0).asString(""), simulated));
      }
    }
    return Optional.empty();
  }

  private ResponseEntity<Void> post(Map<String, Object> body) {
    return ask(
        () ->
            http.post()
                .uri(endpoint)
                .headers(h -> h.setBearerAuth(token))
                .contentType(MediaType.APPLICATION_JSON)
                .body(body)
                .retrieve()
                .toBodilessEntity());
  }

  private <T> T ask(Supplier<T> request) {
    if (!isConnected()) {
      throw new PublishingFailedException(
          "No blog host is connected. Set one with --blog-host when you start Osmerin.");
    }
    try {
      return request.get();
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
