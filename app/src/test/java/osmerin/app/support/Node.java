package osmerin.app.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import osmerin.app.OsmerinApplication;

/** The application as a process of its own, which can be killed as a machine would kill it. */
public final class Node implements AutoCloseable {
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  private final int port;
  private final Process process;
  private final Path log;

  /**
   * Starts, and waits until it answers.
   *
   * @param settings as environment
   */
  public Node(Map<String, String> settings) {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    log = Path.of("target", "node-" + port + ".log");
    process = start(settings);
    await();
  }

  private Process start(Map<String, String> settings) {
    ProcessBuilder builder =
        new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("java.class.path"),
            OsmerinApplication.class.getName());
    builder.environment().putAll(settings);
    builder.environment().put("OSMERIN_PORT", String.valueOf(port));
    try {
      Files.createDirectories(log.getParent());
      return builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void await() {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(base() + "/actuator/health/readiness")).build();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(90);
    while (System.nanoTime() < end && process.isAlive()) {
      try {
        if (HTTP.send(request, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
          return;
        }
      } catch (IOException e) {
        // Not yet.
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
      Thread.onSpinWait();
      java.util.concurrent.locks.LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
    }
    throw new IllegalStateException("the node does not start; see " + log);
  }

  public String base() {
    return "http://127.0.0.1:" + port;
  }

  public boolean isAlive() {
    return process.isAlive();
  }

  /** Ends it at once, as kill -9 does. */
  public void kill() {
    try {
      process.destroyForcibly().waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void close() {
    kill();
  }
}
