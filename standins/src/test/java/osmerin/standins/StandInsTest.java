package osmerin.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class StandInsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final HttpClient http = HttpClient.newHttpClient();
  @TempDir private Path folder;
  private SearchStandIn search;
  private BlogHostStandIn blog;

  @BeforeEach
  void start() throws IOException {
    search = new SearchStandIn(0);
    blog = new BlogHostStandIn(0, folder, "secret", Clock.systemUTC());
  }

  @AfterEach
  void stop() {
    search.close();
    blog.close();
  }

  @ParameterizedTest
  @ValueSource(strings = {"kiln firing schedule", "choosing a canoe", "töpfern lernen", "7"})
  void everyPhraseHasTenPagesThatCanBeOpened(String phrase) throws Exception {
    String q = URLEncoder.encode(phrase, StandardCharsets.UTF_8);
    JsonNode answer = JSON.readTree(get(search.address() + "/search?q=" + q).body());
    assertThat(answer.path("simulated").asBoolean()).isTrue();
    assertThat(answer.path("results").size()).isEqualTo(10);
    for (JsonNode result : answer.path("results")) {
      String url = URLEncoder.encode(result.path("url").asString(), StandardCharsets.UTF_8);
      HttpResponse<String> page = get(search.address() + "/page?url=" + url);
      assertThat(page.statusCode()).as(result.toString()).isEqualTo(200);
      assertThat(Jsoup.parse(page.body()).select("p, li").eachText())
          .hasSizeGreaterThan(4)
          .noneMatch(text -> text.contains("{"));
    }
  }

  /** Whole paragraphs once stood on many pages, so that terms and points were found too easily. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "glaze crawling",
        "throwing a bowl",
        "varroa treatment",
        "sourdough hydration",
        "bike chain",
        "blight on tomatoes",
        "chicken coop",
        "knitting socks",
        "film developer",
        "espresso grind",
        "half marathon",
        "repot monstera",
        "sharpening angle",
        "newsletter subject line"
      })
  void pagesSayTheSameInWordsOfTheirOwn(String phrase) {
    SimulatedWeb.Found found = new SimulatedWeb().search(phrase, false);
    assertThat(found.nearest()).isFalse();
    Map<String, Integer> sentences = new HashMap<>();
    Map<String, Integer> headings = new HashMap<>();
    for (SimulatedWeb.Page made : found.pages()) {
      Document page = Jsoup.parse(made.html());
      page.select("nav, aside, footer, #comments, .related-posts, .newsletter").remove();
      page.select("p").eachText().stream()
          .flatMap(text -> Stream.of(text.split("(?<=[.?!]) ")))
          .filter(text -> text.split(" ").length > 7)
          .distinct()
          .forEach(text -> sentences.merge(text, 1, Integer::sum));
      page.select("h2").eachText().stream()
          .map(text -> text.replaceFirst("^(Step )?\\d+[.:] ", ""))
          .forEach(text -> headings.merge(text, 1, Integer::sum));
    }
    long copied = sentences.values().stream().filter(times -> times > 1).count();
    assertThat(copied).isLessThan(sentences.size() / 8);
    assertThat(headings.values()).anyMatch(times -> times >= 3);
  }

  @Test
  void aPhraseAboutSomethingElseGetsTheNearestSubjectAndSaysSo() throws Exception {
    JsonNode answer = JSON.readTree(get(search.address() + "/search?q=knitwear").body());
    assertThat(answer.path("about").asString()).isEqualTo("knitting");
    assertThat(JSON.readTree(get(search.address() + "/search?q=knitting").body()).has("about"))
        .isFalse();
  }

  @Test
  void pagesAreOfSeveralKindsAndLengths() {
    for (SimulatedWeb.Found found :
        List.of(
            new SimulatedWeb().search("beekeeping in autumn", false),
            new SimulatedWeb().search("buy a bike chain", false))) {
      assertThat(found.pages()).extracting(SimulatedWeb.Page::title).doesNotHaveDuplicates();
      assertThat(found.pages()).anyMatch(page -> page.html().contains("Add to basket"));
      assertThat(found.pages()).anyMatch(page -> page.html().contains("forum-post"));
    }
    assertThat(new SimulatedWeb().search("beekeeping in autumn", false).pages())
        .anyMatch(page -> page.html().contains("<table>"))
        .anyMatch(page -> page.html().contains("<video"));
  }

  @Test
  void itsKnobsMakeItSlowUnreliableAndStale() throws Exception {
    String phrase = search.address() + "/search?q=hens";
    JsonNode fresh = JSON.readTree(get(phrase).body());
    assertThat(get(search.address() + "/knobs?stale=true&failing=1").statusCode()).isEqualTo(200);
    JsonNode stale = JSON.readTree(get(phrase).body());
    assertThat(stale.path("results")).isNotEqualTo(fresh.path("results"));
    String url = URLEncoder.encode(fresh.at("/results/0/url").asString(), StandardCharsets.UTF_8);
    assertThat(get(search.address() + "/page?url=" + url).statusCode()).isEqualTo(503);
    search.turn(new SearchStandIn.Knobs(300, 0, false));
    long from = System.nanoTime();
    assertThat(JSON.readTree(get(phrase).body())).isEqualTo(fresh);
    assertThat(System.nanoTime() - from).isGreaterThan(250_000_000);
  }

  @Test
  void anUnknownPageOrAnEmptySearchSaysSo() throws Exception {
    assertThat(get(search.address() + "/search").statusCode()).isEqualTo(400);
    assertThat(get(search.address() + "/page?url=https://x.example/1/y").statusCode())
        .isEqualTo(404);
    assertThat(get(search.address() + "/openapi.json").body()).contains("\"/search\"");
  }

  @Test
  void anEntryIsCreatedShownAndUpdatedAtItsAddress() throws Exception {
    HttpResponse<String> created = post(entry("u1", "Ash glazes", "<p>Wood ash melts.</p>"));
    assertThat(created.statusCode()).isEqualTo(201);
    String url = created.headers().firstValue("Location").orElseThrow();
    assertThat(url).contains("/ash-glazes");
    assertThat(get(url).body()).contains("Ash glazes", "Wood ash melts.");
    HttpResponse<String> updated =
        post(
            "{\"action\":\"update\",\"url\":\"%s\",\"replace\":{\"content\":[{\"html\":\"<p>Ash, again.</p>\"}]}}"
                .formatted(url));
    assertThat(updated.statusCode()).isEqualTo(204);
    assertThat(get(url).body()).contains("Ash, again.").doesNotContain("Wood ash melts.");
    assertThat(get(blog.address() + "/feed.xml").body()).contains(url);
    assertThat(get(blog.address() + "/sitemap.xml").body()).contains(url);
  }

  @Test
  void oneUidIsOneEntryAndSurvivesARestart() throws Exception {
    String first =
        post(entry("u1", "Ash", "<p>a</p>")).headers().firstValue("Location").orElseThrow();
    String again =
        post(entry("u1", "Ash", "<p>a</p>")).headers().firstValue("Location").orElseThrow();
    assertThat(again).isEqualTo(first);
    assertThat(blog.count()).isEqualTo(1);
    blog.close();
    blog = new BlogHostStandIn(blog.address().getPort(), folder, "secret", Clock.systemUTC());
    assertThat(get(first).body()).contains("Ash");
    assertThat(send("GET", blog.micropub() + "?q=source", null, "secret").body())
        .contains("u1", first);
  }

  @Test
  void twoEntriesOfOneNameHaveTwoAddresses() throws Exception {
    String first =
        post(entry("u1", "Ash", "<p>a</p>")).headers().firstValue("Location").orElseThrow();
    String second =
        post(entry("u2", "Ash", "<p>b</p>")).headers().firstValue("Location").orElseThrow();
    assertThat(second).isNotEqualTo(first);
  }

  @Test
  void strangersAndNonsenseAreRefused() throws Exception {
    assertThat(send("POST", blog.micropub().toString(), entry("u", "A", "b"), "guess").statusCode())
        .isEqualTo(401);
    assertThat(post("{nonsense").statusCode()).isEqualTo(400);
    assertThat(post(entry("u", "", "")).statusCode()).isEqualTo(400);
    assertThat(get(blog.address() + "/nowhere").statusCode()).isEqualTo(404);
  }

  private static String entry(String uid, String name, String html) {
    return "{\"type\":[\"h-entry\"],\"properties\":{\"uid\":[\"%s\"],\"name\":[\"%s\"],\"content\":[{\"html\":\"%s\"}]}}"
        .formatted(uid, name, html);
  }

  private HttpResponse<String> get(String url) throws Exception {
    return send("GET", url, null, "");
  }

  private HttpResponse<String> post(String json) throws Exception {
    return send("POST", blog.micropub().toString(), json, "secret");
  }

  private HttpResponse<String> send(String method, String url, String body, String token)
      throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(url))
            .header("Authorization", "Bearer " + token)
            .header("Content-Type", "application/json")
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString(body))
            .build();
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }
}
