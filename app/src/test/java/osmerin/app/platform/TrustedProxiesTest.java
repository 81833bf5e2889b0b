package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.junit.jupiter.api.Test;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.Node;
import osmerin.app.support.TestDatabase;

class TrustedProxiesTest extends ApplicationTest {
  private final HttpClient http = HttpClient.newHttpClient();

  @Test
  void withoutANamedProxyWhatIsForwardedIsAClaim() throws Exception {
    HttpResponse<String> answer = forwarded("http://127.0.0.1:" + port + "/");
    assertThat(answer.headers().firstValue("Location").orElse("")).doesNotContain("blog.example");
    assertThat(answer.headers().firstValue("Strict-Transport-Security")).isEmpty();
    assertThat(cookies(answer)).doesNotContain("Secure");
  }

  @Test
  void aNamedProxyIsBelievedAboutSchemeHostAndClient() throws Exception {
    String database = TestDatabase.empty("osmerin_proxied");
    try (Node node =
        new Node(
            Map.of(
                "OSMERIN_DB_URL",
                database,
                "OSMERIN_DB_USER",
                TestDatabase.user(),
                "OSMERIN_DB_PASSWORD",
                TestDatabase.password(),
                "OSMERIN_PROXY",
                "127.0.0.1"))) {
      HttpResponse<String> answer = forwarded(node.base() + "/sign-in");
      assertThat(answer.headers().firstValue("Location").orElse(""))
          .isIn("/welcome", "https://blog.example/welcome");
      HttpResponse<String> page = forwarded(node.base() + "/welcome");
      assertThat(page.headers().firstValue("Strict-Transport-Security")).isPresent();
      assertThat(cookies(page)).contains("Secure");
    }
  }

  @Test
  void onlyTheAddressesNamedAreProxies() {
    TomcatServletWebServerFactory server = new TomcatServletWebServerFactory();
    new TrustedProxies(" 127.0.0.1 , 10.0.0.7").customize(server);
    RemoteIpValve valve = (RemoteIpValve) server.getEngineValves().iterator().next();
    assertThat("10.0.0.7").matches(valve.getInternalProxies());
    assertThat("10.0.0.71").doesNotMatch(valve.getInternalProxies());
    assertThat("10a0b0c7").doesNotMatch(valve.getInternalProxies());
    TomcatServletWebServerFactory none = new TomcatServletWebServerFactory();
    new TrustedProxies(" ").customize(none);
    assertThat(none.getEngineValves()).isEmpty();
  }

  private HttpResponse<String> forwarded(String address) throws IOException, InterruptedException {
    return http.send(
        HttpRequest.newBuilder(URI.create(address))
            .header("X-Forwarded-For", "192.0.2.7")
            .header("X-Forwarded-Proto", "https")
            .header("X-Forwarded-Host", "blog.example")
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  private static String cookies(HttpResponse<String> answer) {
    return answer.headers().allValues("Set-Cookie").stream().collect(Collectors.joining("; "));
  }
}
