package osmerin.app.publishing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.app.publishing.BlogHost.Entry;
import osmerin.app.publishing.BlogHost.PublishingFailedException;

/** A host that answers what no host should, or what few do. */
class OddBlogHostTest {
  private static final Entry ENTRY = new Entry("u1", "Eels", "<p>a</p>", null, null);
  private HttpServer server;
  private MicropubBlogHost host;
  private int status = 201;
  private String location = "";
  private String source = "";
  private int sourceStatus = 200;

  @BeforeEach
  void start() throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext("/", this::answer);
    server.start();
    String endpoint = "http://127.0.0.1:" + server.getAddress().getPort() + "/micropub";
    host = new MicropubBlogHost(endpoint, "secret");
  }

  @AfterEach
  void stop() {
    server.stop(0);
  }

  private void answer(HttpExchange exchange) throws IOException {
    boolean asks = exchange.getRequestMethod().equals("GET");
    exchange.getRequestBody().readAllBytes();
    if (!asks && !location.isEmpty()) {
      exchange.getResponseHeaders().set("Location", location);
    }
    exchange.getResponseHeaders().set("Content-Type", "application/json");
    byte[] body = (asks ? source : "").getBytes(StandardCharsets.UTF_8);
    exchange.sendResponseHeaders(asks ? sourceStatus : status, body.length == 0 ? -1 : body.length);
    exchange.getResponseBody().write(body);
    exchange.close();
  }

  @ParameterizedTest
  @ValueSource(ints = {200, 204, 302, 303, 307})
  void aCreateThatIsNoCreatedIsNone(int answered) {
    status = answered;
    location = "https://eelgarth.example/eels";
    assertThatThrownBy(() -> host.create(ENTRY))
        .isInstanceOf(PublishingFailedException.class)
        .hasMessageContaining(String.valueOf(answered));
  }

  @Test
  void aCreateWithoutAnAddressIsNone() {
    assertThatThrownBy(() -> host.create(ENTRY)).hasMessageContaining("named no address");
  }

  @Test
  void whatIsOnlyAcceptedIsPublishedOnceItIsThere() {
    status = 202;
    source = "{\"items\": []}";
    assertThatThrownBy(() -> host.create(ENTRY)).hasMessageContaining("not published it yet");
    source =
        "{\"items\": [{\"properties\": {\"uid\": [\"u1\"], \"url\": [\"https://e.example/1\"]}}]}";
    assertThat(host.create(ENTRY).address()).isEqualTo("https://e.example/1");
  }

  @ParameterizedTest
  @CsvSource({"200, true", "201, true", "204, true", "202, false", "302, false"})
  void anUpdateIsDoneWhenTheHostSaysSo(int answered, boolean done) {
    status = answered;
    if (done) {
      assertThat(host.update("https://e.example/1", ENTRY).address())
          .isEqualTo("https://e.example/1");
    } else {
      assertThatThrownBy(() -> host.update("https://e.example/1", ENTRY))
          .isInstanceOf(PublishingFailedException.class);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"204|", "200|", "200|[]", "200|null", "200|{\"items\": 3}", "200|<html>", "302|"})
  void anAnswerThatListsNothingIsNoList(int answered, String body) {
    sourceStatus = answered;
    source = body == null ? "" : body;
    assertThatThrownBy(() -> host.find("u1"))
        .isInstanceOf(PublishingFailedException.class)
        .hasMessageContaining("blog host");
  }

  @Test
  void anAnswerWithoutEndIsBrokenOff() {
    source = "{\"items\": [\"" + "a".repeat(30_000_000) + "\"]}";
    assertThatThrownBy(() -> host.find("u1")).isInstanceOf(PublishingFailedException.class);
  }

  @Test
  void theTextOfAPageIsAskedByItsAddress() {
    source = "{\"properties\": {\"content\": [{\"html\": \"<p>Of eels</p>\"}]}}";
    assertThat(host.text("https://e.example/a?b=c&d=é")).contains("<p>Of eels</p>");
    source = "{\"properties\": {\"content\": [\"Of eels\"]}}";
    assertThat(host.text("https://e.example/1")).contains("Of eels");
    source = "{\"properties\": {}}";
    assertThat(host.text("https://e.example/1")).isEmpty();
  }
}
