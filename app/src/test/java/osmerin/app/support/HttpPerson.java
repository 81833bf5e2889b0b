package osmerin.app.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;

/** Somebody who uses the application over HTTP, without a browser. Keeps cookies. */
public final class HttpPerson {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]* value=\"([^\"]+)\"");

  private static final Duration WORK = Duration.ofSeconds(60);

  private final CookieManager cookies;
  private final HttpClient http;
  private String base;
  private String token = "";

  /** Signs in. */
  public HttpPerson(String base, String login, String password) {
    this(base, new CookieManager());
    get("/sign-in");
    HttpResponse<String> answer = post("/sign-in", "login", login, "password", password);
    if (answer.headers().firstValue("Location").orElse("/sign-in").contains("/sign-in")) {
      throw new IllegalStateException(login + " cannot sign in: " + answer.headers().map());
    }
    get("/");
  }

  /** Somebody who is not signed in. */
  public static HttpPerson stranger(String base) {
    return new HttpPerson(base, new CookieManager());
  }

  private HttpPerson(String base, CookieManager cookies) {
    this.base = base;
    this.cookies = cookies;
    this.http =
        HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
  }

  /** What the application wants kept. */
  public List<HttpCookie> cookies() {
    return cookies.getCookieStore().getCookies();
  }

  /** The same as a browser would send it. */
  public String cookieHeader() {
    return cookies().stream()
        .map(cookie -> cookie.getName() + "=" + cookie.getValue())
        .collect(java.util.stream.Collectors.joining("; "));
  }

  /** The token of the last page, encoded. */
  public String token() {
    return encoded(token);
  }

  /** From now on the same session is used with another node. */
  public void goTo(String otherBase) {
    base = otherBase;
  }

  public HttpResponse<String> get(String path) {
    HttpResponse<String> answer =
        send(HttpRequest.newBuilder(URI.create(base + path)).GET().build());
    Matcher found = TOKEN.matcher(answer.body());
    if (found.find()) {
      token = found.group(1);
    }
    return answer;
  }

  /** Sends a form with names and values in turn. */
  public HttpResponse<String> post(String path, String... fields) {
    StringBuilder body = new StringBuilder("_csrf=" + encoded(token));
    for (int i = 0; i < fields.length; i += 2) {
      body.append('&').append(fields[i]).append('=').append(encoded(fields[i + 1]));
    }
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(BodyPublishers.ofString(body.toString()))
            .build());
  }

  /** Sends a form that begins work, and waits until that is over, however long it takes. */
  public HttpResponse<String> postAndWait(String path, String... fields) {
    HttpResponse<String> begun = post(path, fields);
    String shown = begun.headers().firstValue("Location").orElse("");
    if (!shown.contains("/work/")) {
      return begun;
    }
    String progress = URI.create(shown).getPath();
    return Awaitility.await()
        .atMost(WORK)
        .until(() -> get(progress), now -> now.statusCode() == 302);
  }

  /** Uploads a file in the field "file". */
  public HttpResponse<String> upload(String path, String name, String content) {
    String line = "----osmerin";
    String body =
        "--%s\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n%s\r\n"
                .formatted(line, token)
            + "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\nContent-Type: text/csv\r\n\r\n%s\r\n--%s--\r\n"
                .formatted(line, name, content, line);
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "multipart/form-data; boundary=" + line)
            .POST(BodyPublishers.ofString(body))
            .build());
  }

  private HttpResponse<String> send(HttpRequest request) {
    try {
      return http.send(request, BodyHandlers.ofString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
