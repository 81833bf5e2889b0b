package osmerin.app.platform.outside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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
    server.setExecutor(Executors.newCachedThreadPool(GuardedFetchTest::daemon));
    server.start();
    return server;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work);
    thread.setDaemon(true);
    return thread;
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
    refused("/file", "not a web address");
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

  @ParameterizedTest
  @ValueSource(
      strings = {"http://127.0.0.1:99999/", "http://e.example:65536/", "http://u:p@e.example/"})
  void anAddressThatCannotBeAskedIsRefusedAsNone(String address) {
    assertThatThrownBy(() -> fetch.get(address))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("is not a web address");
  }

  @Test
  void aHostThatSendsAByteASecondIsGivenUpInTime() {
    drip("/drip");
    redirect("/slowly", "/drip");
    GuardedFetch hasty = new GuardedFetch(at("/micropub"), Duration.ofMillis(700));
    long begun = System.nanoTime();
    assertThatThrownBy(() -> hasty.get(at("/slowly")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("takes more than");
    assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(3));
  }

  @Test
  void allFilesOfASessionTogetherHaveOneBound() {
    drip("/drip");
    GuardedFetch.Session session =
        new GuardedFetch(at("/micropub"), Duration.ofMillis(700)).session();
    assertThat(session.get(at("/sitemap.xml"))).isNotEmpty();
    assertThatThrownBy(() -> session.get(at("/drip"))).hasMessageContaining("takes more than");
    assertThatThrownBy(() -> session.get(at("/sitemap.xml"))).isInstanceOf(RefusedException.class);
  }

  @Test
  void whatHasMoreThanFiftyMegabytesIsNotRead() {
    byte[] megabyte = new byte[1_000_000];
    connected.createContext(
        "/huge",
        exchange -> {
          exchange.sendResponseHeaders(200, 0);
          try (OutputStream out = exchange.getResponseBody()) {
            for (int i = 0; i < 60; i++) {
              out.write(megabyte);
            }
          }
        });
    refused("/huge", "more than 50 MB");
  }

  private void drip(String path) {
    connected.createContext(
        path,
        exchange -> {
          exchange.sendResponseHeaders(200, 0);
          try (OutputStream out = exchange.getResponseBody()) {
            for (int i = 0; i < 100; i++) {
              out.write('a');
              out.flush();
              Thread.sleep(100);
            }
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "http://[64:ff9b::7f00:1]/",
        "http://[64:ff9b::10.0.0.1]/",
        "http://[64:ff9b:1::8.8.8.8]/",
        "http://[2002:7f00:1::]/",
        "http://[2002:c0a8:101::1]/",
        "http://[::ffff:127.0.0.1]/",
        "http://[::127.0.0.1]/",
        "http://[2001:0:7f00:1::]/",
        "http://[2001:0:808:808::80ff:fffe]/",
        "http://[fe80::1]/",
        "http://[fd00::1]/",
        "http://[2a00:1::200:5efe:10.0.0.1]/",
        "http://2130706433/",
        "http://0x7f.1/",
        "http://0/",
        "http://198.18.0.1/",
        "http://240.0.0.1/"
      })
  void formsOfAddressesThatLeadInsideAreRefusedWithoutTrying(String address) {
    long begun = System.nanoTime();
    assertThatThrownBy(() -> fetch.get(address)).isInstanceOf(RefusedException.class);
    assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(2));
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
