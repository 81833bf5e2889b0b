package osmerin.app.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import osmerin.app.evidence.SearchService.SearchFailedException;
import osmerin.standins.SearchStandIn;

/** The search service over HTTP: the stand-in, and services that misbehave. */
class HttpSearchServiceTest {
  private HttpServer server;
  private volatile int status = 200;
  private volatile String body = "";

  @BeforeEach
  void start() throws Exception {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext(
        "/",
        exchange -> {
          byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
          exchange.getResponseHeaders().set("Content-Type", "application/json");
          exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
          exchange.getResponseBody().write(bytes);
          exchange.close();
        });
    server.start();
  }

  @AfterEach
  void stop() {
    server.stop(0);
  }

  @Test
  void anyPhraseIsAskedAndReadWithItsPages() throws Exception {
    try (SearchStandIn standIn = new SearchStandIn(0)) {
      HttpSearchService service = new HttpSearchService(standIn.address().toString());
      for (String phrase : new String[] {"kiln & shelf?", "töpfern 100 %", "c++"}) {
        SearchService.Found found = service.search(phrase);
        assertThat(found.simulated()).isTrue();
        assertThat(found.pages()).as(phrase).hasSize(10);
        assertThat(found.pages()).allSatisfy(p -> assertThat(p.keptWords()).isGreaterThan(30));
      }
    }
  }

  @Test
  void aServiceThatRefusesOrTalksNonsenseIsSaidToFail() {
    HttpSearchService service = service();
    status = 500;
    assertThatThrownBy(() -> service.search("kiln"))
        .isInstanceOf(SearchFailedException.class)
        .hasMessageContaining("does not answer");
    status = 200;
    body = "<html>not json</html>";
    assertThatThrownBy(() -> service.search("kiln")).isInstanceOf(SearchFailedException.class);
    server.stop(0);
    assertThatThrownBy(() -> service.search("kiln")).isInstanceOf(SearchFailedException.class);
  }

  @Test
  void aServiceThatFindsNothingFindsNothing() {
    body = "{\"simulated\":false,\"results\":[]}";
    SearchService.Found found = service().search("kiln");
    assertThat(found.pages()).isEmpty();
    assertThat(found.simulated()).isFalse();
  }

  @Test
  void anEmptyAnswerIsNoneAndResultsWithoutAnAddressAreLeftOut() {
    for (String answered : new String[] {"", "null", "[]", "{}", "{\"results\":null}"}) {
      body = answered;
      assertThatThrownBy(() -> service().search("kiln"))
          .as(answered)
          .isInstanceOf(SearchFailedException.class);
    }
    body =
        "{\"simulated\":false,\"results\":[{\"position\":1},{\"url\":\"javascript:x\"},"
            + "{\"url\":\"https://e.example/\\u0000\"},"
            + "{\"url\":\"https://e.example/1\",\"title\":\"A\\u0000b\"}]}";
    SearchService.Found found = service().search("kiln");
    assertThat(found.pages())
        .singleElement()
        .satisfies(p -> assertThat(p.title()).isEqualTo("A b"));
  }

  @Test
  void withoutAnAddressNoneIsConnected() {
    assertThat(new HttpSearchService("").isConnected()).isFalse();
    assertThat(service().isConnected()).isTrue();
  }

  private HttpSearchService service() {
    return new HttpSearchService("http://127.0.0.1:" + server.getAddress().getPort());
  }
}
