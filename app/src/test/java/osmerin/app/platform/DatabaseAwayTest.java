package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import osmerin.app.support.HttpPerson;
import osmerin.app.support.Node;
import osmerin.app.support.TestDatabase;

/** The database goes away and comes back; a line between it and the application is cut. */
@Tag("processes")
class DatabaseAwayTest {
  @Test
  void whileTheDatabaseIsAwayThereIsAPageThatSaysSoAndThenAllIsWellAgain() throws Exception {
    URI database = URI.create(TestDatabase.empty("osmerin_away").substring("jdbc:".length()));
    try (Line line = new Line(database.getPort());
        Node node =
            new Node(
                Map.of(
                    "OSMERIN_DB_URL",
                        "jdbc:postgresql://127.0.0.1:" + line.port() + database.getPath(),
                    "OSMERIN_DB_USER", TestDatabase.user(),
                    "OSMERIN_DB_PASSWORD", TestDatabase.password()))) {
      HttpPerson person = HttpPerson.stranger(node.base());
      assertThat(person.get("/welcome").statusCode()).isEqualTo(200);
      line.cut();
      long begun = System.nanoTime();
      HttpResponse<String> away = person.get("/welcome");
      assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(10));
      assertThat(away.statusCode()).as(away.body()).isEqualTo(503);
      assertThat(away.headers().firstValue("Content-Type").orElse("")).startsWith("text/html");
      assertThat(away.body()).contains("cannot reach its database").doesNotContain("Exception");
      line.mend();
      await().atMost(Duration.ofSeconds(3)).until(() -> person.get("/welcome").statusCode() == 200);
    }
  }

  /** Passes bytes on between a port of its own and the database's. */
  private static final class Line implements AutoCloseable {
    private final int target;
    private final ServerSocket front;
    private final List<Socket> open = new CopyOnWriteArrayList<>();
    private volatile boolean cut;

    Line(int target) throws IOException {
      this.target = target;
      front = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
      daemon(this::accept);
    }

    int port() {
      return front.getLocalPort();
    }

    void cut() {
      cut = true;
      open.forEach(Line::closeQuietly);
      open.clear();
    }

    void mend() {
      cut = false;
    }

    private void accept() {
      while (!front.isClosed()) {
        try {
          Socket client = front.accept();
          if (cut) {
            client.close();
            continue;
          }
          Socket server = new Socket(InetAddress.getLoopbackAddress(), target);
          open.addAll(List.of(client, server));
          daemon(() -> pass(client, server));
          daemon(() -> pass(server, client));
        } catch (IOException e) {
          // The line is closed.
        }
      }
    }

    private static void pass(Socket from, Socket to) {
      try (InputStream in = from.getInputStream();
          OutputStream out = to.getOutputStream()) {
        in.transferTo(out);
      } catch (IOException e) {
        // Cut.
      }
    }

    private static void closeQuietly(Socket socket) {
      try {
        socket.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    private static void daemon(Runnable work) {
      Thread thread = new Thread(work);
      thread.setDaemon(true);
      thread.start();
    }

    @Override
    public void close() throws IOException {
      front.close();
      cut();
    }
  }
}
