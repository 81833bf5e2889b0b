package osmerin.app.support;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import osmerin.standins.BlogHostStandIn;

/**
 * The blog host stand-in behind a line that can break: refusing everything, or cut after the host
 * has done what it was asked and before it could say so.
 */
public final class TestBlogHost {
  /** What the line does. */
  public enum Line {
    WORKS,
    DOWN,
    BREAKS_BEFORE_THE_ANSWER,
    SLOW
  }

  private static final long SLOW_MILLIS = 4_000;

  public static final String TOKEN = "test-token";

  private final BlogHostStandIn host;
  private final HttpServer front;
  private final HttpClient http = HttpClient.newHttpClient();
  private final Map<String, String> files = new ConcurrentHashMap<>();
  private volatile Line line = Line.WORKS;
  private volatile Runnable beforeAnswer = () -> {};
  private volatile Runnable afterAnswer = () -> {};

  public TestBlogHost() {
    try {
      Path folder = Files.createDirectories(Path.of("target", "test-blog-" + System.nanoTime()));
      host = new BlogHostStandIn(0, folder, TOKEN, Clock.systemUTC());
      front = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    front.setExecutor(Executors.newCachedThreadPool(TestBlogHost::daemon));
    front.createContext("/", this::pass);
    front.start();
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work);
    thread.setDaemon(true);
    return thread;
  }

  public void set(Line now) {
    line = now;
  }

  /** Runs once an article was created or changed, before the answer is sent. */
  public void beforeAnswer(Runnable hook) {
    beforeAnswer = hook;
  }

  /** Runs once the answer was sent. */
  public void afterAnswer(Runnable hook) {
    afterAnswer = hook;
  }

  public String micropub() {
    return "http://127.0.0.1:" + front.getAddress().getPort() + "/micropub";
  }

  /** From now on the host has this file too. */
  public void page(String path, String content) {
    files.put(path, content);
  }

  public String address(String path) {
    return "http://127.0.0.1:" + front.getAddress().getPort() + path;
  }

  /** Puts an article on the blog, past Osmerin. */
  public void publish(String title) {
    String form = "h=entry&name=" + title.replace(' ', '+') + "&content=Text";
    HttpRequest request =
        HttpRequest.newBuilder(host.micropub())
            .header("Authorization", "Bearer " + TOKEN)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(form))
            .build();
    try {
      http.send(request, HttpResponse.BodyHandlers.discarding());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Entries that the host has. */
  public int count() {
    return host.count();
  }

  private void pass(HttpExchange exchange) throws IOException {
    if (line == Line.DOWN) {
      exchange.close();
      return;
    }
    String file = files.get(exchange.getRequestURI().getPath());
    if (file != null) {
      byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
      exchange.sendResponseHeaders(200, bytes.length == 0 ? -1 : bytes.length);
      exchange.getResponseBody().write(bytes);
      exchange.close();
      return;
    }
    try {
      URI target = host.address().resolve(exchange.getRequestURI());
      HttpRequest.Builder request = HttpRequest.newBuilder(target);
      for (String name : new String[] {"Authorization", "Content-Type"}) {
        String value = exchange.getRequestHeaders().getFirst(name);
        if (value != null) {
          request.header(name, value);
        }
      }
      byte[] body = exchange.getRequestBody().readAllBytes();
      request.method(exchange.getRequestMethod(), HttpRequest.BodyPublishers.ofByteArray(body));
      HttpResponse<byte[]> answer =
          http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
      if (line == Line.SLOW) {
        Thread.sleep(SLOW_MILLIS);
      }
      boolean change = exchange.getRequestMethod().equals("POST");
      if (change) {
        beforeAnswer.run();
      }
      if (line == Line.BREAKS_BEFORE_THE_ANSWER) {
        exchange.close();
        return;
      }
      for (String name : new String[] {"Location", "Content-Type", "X-Simulated"}) {
        answer
            .headers()
            .firstValue(name)
            .ifPresent(v -> exchange.getResponseHeaders().set(name, v));
      }
      boolean empty = answer.body().length == 0;
      exchange.sendResponseHeaders(answer.statusCode(), empty ? -1 : answer.body().length);
      exchange.getResponseBody().write(answer.body());
      exchange.close();
      if (change) {
        afterAnswer.run();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
