package osmerin.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import osmerin.app.platform.web.RefusedException;

/** Two hosts on the machine: the one that the operator connected, and one that nobody may ask. */
class GuardedFetchTest {
  private HttpServer connected;
  private HttpServer inside;
  private final AtomicInteger askedInside = new AtomicInteger();
  private GuardedFetch fetch;

  @BeforeEach
  void start() throws IOException {
    connected = server();
    inside = server();
    inside.createContext(
        "/",
        exchange -> {
          askedInside.incrementAndGet();
          exchange.sendResponseHeaders(200, -1);
          exchange.close();
        });
    answer("/sitemap.xml", 200, "a sitemap");
    answer("/missing", 404, "");
    redirect("/moved", "/sitemap.xml");
    redirect("/round", "/round");
    redirect("/out", "http://127.0.0.1:" + inside.getAddress().getPort() + "/secret");
    redirect("/file", "file:///etc/hostname");
    fetch = new GuardedFetch(at("/micropub"));
  }

  private static HttpServer server() throws IOException {
    HttpServer server =
        HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.start();
    return server;
  }

  private void answer(String path, int status, String body) {
    connected.createContext(
        path,
        exchange -> {
          byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
          try (OutputStream out = exchange.getResponseBody()) {
            out.write(bytes);
          }
        });
  }

  private void redirect(String path, String to) {
    connected.createContext(
        path,
        exchange -> {
          exchange.getResponseHeaders().set("Location", to);
          exchange.sendResponseHeaders(302, -1);
          exchange.close();
        });
  }

  private String at(String path) {
    return "http://127.0.0.1:" + connected.getAddress().getPort() + path;
  }

  @AfterEach
  void stop() {
    connected.stop(0);
    inside.stop(0);
  }

  @Test
  void theConnectedHostIsAskedAndItsRedirectsAreFollowed() {
    assertThat(new String(fetch.get(at("/sitemap.xml")), StandardCharsets.UTF_8))
        .isEqualTo("a sitemap");
    assertThat(fetch.get(at("/moved"))).isNotEmpty();
  }

  @Test
  void aRedirectIntoTheOwnNetworkIsNotFollowed() {
    refused("/out", "own network");
    refused("/file", "no web address");
    assertThat(askedInside).hasValue(0);
  }

  @Test
  void redirectsWithoutEndAndErrorsAreSaid() {
    refused("/round", "on and on");
    refused("/missing", "404");
  }

  @Test
  void anotherPortOfTheConnectedMachineIsNotAsked() {
    String other = "http://127.0.0.1:" + inside.getAddress().getPort() + "/secret";
    assertThatThrownBy(() -> fetch.get(other)).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> new GuardedFetch("").get(at("/sitemap.xml")))
        .isInstanceOf(RefusedException.class);
    assertThat(askedInside).hasValue(0);
  }

  @Test
  void aHostThatIsDownIsSaid() {
    connected.stop(0);
    refused("/sitemap.xml", "does not answer");
  }

  private void refused(String path, String words) {
    assertThatThrownBy(() -> fetch.get(at(path)))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(words);
  }
}
