package osmerin.app.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import osmerin.app.OsmerinApplication;

/** The application as a process of its own, which can be killed as a machine would kill it. */
public final class Node implements AutoCloseable {
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final Pattern LISTENS = Pattern.compile("Tomcat started on port (\\d+)");

  private final Path log;
  private final Process process;
  private int port;

  /**
   * Starts, and waits until it answers.
   *
   * @param settings as environment
   */
  public Node(Map<String, String> settings) {
    try {
      log = Files.createTempFile(Files.createDirectories(Path.of("target")), "node-", ".log");
      process = start(settings);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    await();
  }

  /** It chooses a port that is free and says which: one chosen for it might be taken by then. */
  private Process start(Map<String, String> settings) throws IOException {
    ProcessBuilder builder =
        new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("java.class.path"),
            OsmerinApplication.class.getName());
    builder.environment().putAll(settings);
    builder.environment().put("OSMERIN_PORT", "0");
    builder.environment().put("LOGGING_LEVEL_ORG_SPRINGFRAMEWORK_BOOT_TOMCAT", "info");
    return builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
  }

  private void await() {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(90);
    while (System.nanoTime() < end && process.isAlive()) {
      if (isReady()) {
        return;
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
    }
    close();
    throw new IllegalStateException("the node does not start; see " + log);
  }

  private boolean isReady() {
    try {
      Matcher listens = LISTENS.matcher(Files.readString(log));
      if (!listens.find()) {
        return false;
      }
      port = Integer.parseInt(listens.group(1));
      URI readiness = URI.create(base() + "/actuator/health/readiness");
      HttpRequest request = HttpRequest.newBuilder(readiness).build();
      return HTTP.send(request, HttpResponse.BodyHandlers.discarding()).statusCode() == 200;
    } catch (IOException e) {
      // Not yet.
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
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
