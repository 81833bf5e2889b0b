package osmerin.app.support;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import java.util.concurrent.TimeUnit;

/**
 * A PostgreSQL cluster on loopback for one process of the tests, started by the script that users
 * use.
 */
public final class TestDatabase {
  private static final TestDatabase ONE = new TestDatabase();

  private final Path script;
  private final Properties facts = new Properties();

  private TestDatabase() {
    Path root = Path.of("").toAbsolutePath();
    while (!Files.exists(root.resolve("bin/database"))) {
      root = root.getParent();
    }
    script = root.resolve("bin/database");
    String process = System.getProperty("osmerin.process", "1");
    Path folder = Path.of("target/test-database-" + process).toAbsolutePath();
    try {
      facts.load(new java.io.StringReader(run("start", folder)));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    Runtime.getRuntime().addShutdownHook(new Thread(() -> run("stop", folder)));
  }

  private String run(String action, Path folder) {
    try {
      ProcessBuilder builder =
          new ProcessBuilder("bash", script.toString(), action, folder.toString())
              .redirectError(ProcessBuilder.Redirect.INHERIT);
      builder.environment().put("OSMERIN_THROWAWAY", "yes");
      Path out = Files.createTempFile("database", ".out");
      Process process = builder.redirectOutput(out.toFile()).start();
      if (!process.waitFor(90, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IllegalStateException("bin/database " + action + " failed");
      }
      return Files.readString(out, StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Makes an empty database; one of that name that is there is dropped. */
  public static String empty(String name) {
    try (Connection connection =
            DriverManager.getConnection(ONE.url("postgres"), user(), password());
        Statement statement = connection.createStatement()) {
      statement.execute("drop database if exists " + name + " with (force)");
      statement.execute("create database " + name);
      return ONE.url(name);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private String url(String name) {
    return "jdbc:postgresql://127.0.0.1:" + facts.getProperty("port") + "/" + name;
  }

  public static String user() {
    return "osmerin";
  }

  public static String password() {
    return ONE.facts.getProperty("password");
  }
}
