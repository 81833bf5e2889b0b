package osmerin.app.platform.web;

import java.net.http.HttpClient;
import java.time.Duration;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.RestClient;

/** HTTP to services outside: it gives up in time, and follows no redirect to somewhere else. */
public final class OutsideHttp {
  /** The longest wait for an answer. */
  public static final Duration TIMEOUT = Duration.ofSeconds(10);

  private OutsideHttp() {}

  public static RestClient client() {
    HttpClient http =
        HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(3))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    JdkClientHttpRequestFactory factory = new JdkClientHttpRequestFactory(http);
    factory.setReadTimeout(TIMEOUT);
    return RestClient.builder().requestFactory(factory).build();
  }
}
