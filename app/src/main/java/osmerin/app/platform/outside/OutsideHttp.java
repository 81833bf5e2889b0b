package osmerin.app.platform.outside;

import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpClient;
import java.time.Duration;
import org.apache.commons.io.input.BoundedInputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRequest;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.client.ClientHttpRequestExecution;
import org.springframework.http.client.ClientHttpResponse;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.RestClient;

/** HTTP to services outside: it gives up in time, and follows no redirect to somewhere else. */
public final class OutsideHttp {
  /** The longest wait for an answer. */
  public static final Duration TIMEOUT = Duration.ofSeconds(10);

  /** The longest answer of a service, in bytes. */
  public static final long MOST_BYTES = 20_000_000;

  private OutsideHttp() {}

  public static RestClient client() {
    HttpClient http =
        HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(3))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    JdkClientHttpRequestFactory factory = new JdkClientHttpRequestFactory(http);
    factory.setReadTimeout(TIMEOUT);
    return RestClient.builder()
        .requestFactory(factory)
        .requestInterceptor(OutsideHttp::bounded)
        .build();
  }

  /** An answer breaks off after so many bytes. */
  private static ClientHttpResponse bounded(
      HttpRequest request, byte[] body, ClientHttpRequestExecution execution) throws IOException {
    return new Bounded(execution.execute(request, body));
  }

  private record Bounded(ClientHttpResponse answer) implements ClientHttpResponse {
    @Override
    public InputStream getBody() throws IOException {
      return BoundedInputStream.builder()
          .setInputStream(answer.getBody())
          .setMaxCount(MOST_BYTES)
          .setOnMaxCount(
              (most, read) -> {
                throw new IOException("more than " + most + " bytes");
              })
          .get();
    }

    @Override
    public HttpStatusCode getStatusCode() throws IOException {
      return answer.getStatusCode();
    }

    @Override
    public String getStatusText() throws IOException {
      return answer.getStatusText();
    }

    @Override
    public HttpHeaders getHeaders() {
      return answer.getHeaders();
    }

    @Override
    public void close() {
      answer.close();
    }
  }
}
