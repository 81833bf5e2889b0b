package osmerin.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import osmerin.app.support.HttpPerson;
import osmerin.app.support.Node;
import osmerin.app.support.TestBlogHost;
import osmerin.app.support.TestDatabase;

/**
 * The application as processes that are killed in the midst of their work, and as two nodes on one
 * database. Kills once each with every build, and as often as {@code osmerin.kills} says: {@code
 * ./osmerin endure}.
 */
@Tag("processes")
@TestInstance(Lifecycle.PER_CLASS)
class EnduranceTest {
  private static final int KILLS = Integer.getInteger("osmerin.kills", 1);
  private static final String PASSWORD = "a-long-password";
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final TestBlogHost blog = new TestBlogHost();
  private final Random random = new Random(5);
  private String database;
  private Node node;
  private HttpPerson owner;
  private int onBlogBefore;

  @BeforeAll
  void setUp() {
    database = TestDatabase.empty("osmerin_endurance");
    node = start();
    HttpPerson nobody = HttpPerson.stranger(node.base());
    nobody.get("/welcome");
    nobody.post(
        "/welcome",
        "code",
        "abc123",
        "name",
        "Una Berg",
        "login",
        "una",
        "password",
        PASSWORD,
        "siteName",
        "Loam",
        "address",
        "loam.example",
        "prefix",
        "LM",
        "zone",
        "UTC");
  }

  /** Each begins with an empty site; the node that the last one left goes on, signed in anew. */
  @BeforeEach
  void empty() {
    if (!node.isAlive()) {
      node = start();
    }
    change(
        "truncate article, pitch, keyword, keyword_group, topic, keyword_import, uploaded_file,"
            + " work, notice, history_entry cascade");
    onBlogBefore = blog.count();
    owner = new HttpPerson(node.base(), "una", PASSWORD);
  }

  @AfterAll
  void end() {
    node.close();
  }

  private Node start() {
    Map<String, String> settings = new HashMap<>();
    settings.put("OSMERIN_DB_URL", database);
    settings.put("OSMERIN_DB_USER", TestDatabase.user());
    settings.put("OSMERIN_DB_PASSWORD", TestDatabase.password());
    settings.put("OSMERIN_SETUP_CODE", "abc123");
    settings.put("OSMERIN_BLOG_HOST", blog.micropub());
    settings.put("OSMERIN_BLOG_HOST_TOKEN", TestBlogHost.TOKEN);
    settings.put("OSMERIN_HEARTBEAT", "1s");
    settings.put("OSMERIN_BROKENOFF", "2s");
    settings.put("OSMERIN_PUBLISHEVERY", "500ms");
    settings.put("DBSCHEDULER_POLLINGINTERVAL", "300ms");
    return new Node(settings);
  }

  private void restart() {
    node.kill();
    node = start();
    owner.goTo(node.base());
  }

  @Test
  void whatWasSavedIsThereAfterAKill() {
    String number = ready("A draft that is saved and saved");
    int acknowledged = latestVersion();
    for (int kill = 0; kill < KILLS; kill++) {
      Thread killer = killSoon(200 + random.nextInt(500));
      while (true) {
        String text = "Version " + (acknowledged + 1) + " of the text.";
        try {
          HttpResponse<String> answer =
              owner.post(
                  "/loam/articles/" + number + "/draft",
                  "text",
                  text,
                  "seen",
                  String.valueOf(acknowledged));
          if (answer.statusCode() != 302) {
            throw new IllegalStateException("not saved: " + answer.statusCode());
          }
          acknowledged++;
        } catch (UncheckedIOException e) {
          break;
        }
      }
      join(killer);
      restart();
      int latest = latestVersion();
      assertThat(latest).isBetween(acknowledged, acknowledged + 1);
      assertThat(text("select text from draft_version order by ordinal desc limit 1"))
          .isEqualTo("Version " + latest + " of the text.");
      assertThat(number("select count(*) from history_change where field = 'Draft'"))
          .isEqualTo(latest);
      acknowledged = latest;
    }
  }

  private int latestVersion() {
    return (int) number("select coalesce(max(ordinal), 0) from draft_version");
  }

  @Test
  void anImportThatIsKilledIsDoneInWholeAfterTheRestart() {
    for (int kill = 1; kill <= KILLS; kill++) {
      String file = file(kill);
      owner.get("/loam/research/import");
      String preview =
          owner
              .upload("/loam/research/import", "kill-" + kill + ".csv", file)
              .headers()
              .firstValue("Location")
              .orElseThrow();
      owner.post(path(preview));
      pause(random.nextInt(900));
      restart();
      int imports = kill;
      await()
          .atMost(PATIENCE)
          .until(() -> number("select count(*) from keyword_import") == imports);
      assertThat(number("select count(*) from keyword")).isEqualTo(kill * 3_000L);
      // After the first import a keyword that is alone waits for a person; nearly none is.
      assertThat(number("select count(*) from keyword_place where group_id is null"))
          .isLessThanOrEqualTo((kill - 1) * 30L);
      assertThat(
              number(
                  "select count(*) from keyword_group g where keywords != (select count(*) from"
                      + " keyword_place p where p.group_id = g.id)"))
          .isZero();
      assertThat(number("select count(*) from uploaded_file")).isZero();
      assertThat(number("select count(*) from work where state != 'DONE'")).isZero();
      assertThat(number("select count(*) from notice where kind = 'WORK_ENDED'")).isEqualTo(kill);
    }
  }

  private static String file(int part) {
    StringBuilder file = new StringBuilder("keyword,volume,urls\r\n");
    for (int i = 0; i < 3_000; i++) {
      file.append("thing %d of %d,%d,".formatted(i, part, 10 + i % 700));
      for (int page = 0; page < 5; page++) {
        file.append("t%d-%d.example/%d ".formatted(part, i / 10, page));
      }
      file.append("\r\n");
    }
    return file.toString();
  }

  @Test
  void killedBetweenTheHostsAnswerAndTheCommitNothingIsPublishedTwice() {
    for (int kill = 1; kill <= KILLS; kill++) {
      String number = ready("Once and only once, " + kill);
      AtomicReference<Thread> killer = new AtomicReference<>();
      Runnable hook =
          () -> {
            blog.beforeAnswer(() -> {});
            blog.afterAnswer(() -> {});
            node.kill();
          };
      // In turn before the answer leaves the host, and just after.
      if (kill % 2 == 1) {
        blog.beforeAnswer(hook);
      } else {
        blog.afterAnswer(hook);
      }
      try {
        owner.post("/loam/articles/" + number + "/publish");
      } catch (UncheckedIOException e) {
        // The node is gone.
      }
      assertThat(published()).isEqualTo(kill);
      restart();
      if (!isLive(number)) {
        await()
            .atMost(PATIENCE)
            .until(
                () -> {
                  owner.get("/loam/articles/" + number);
                  owner.post("/loam/articles/" + number + "/publish");
                  return isLive(number);
                });
      }
      assertThat(published()).isEqualTo(kill);
    }
  }

  @Test
  void anHourThatPassesWhileNothingRunsIsCaughtUpWithAndSaidSo() {
    String number = ready("At its hour");
    setHour(number, 600);
    node.kill();
    // Yesterday at that hour, set the day before.
    change(
        "update round set publish_date = publish_date - 1,"
            + " publish_set_at = publish_set_at - interval '2 days'");
    restart();
    await().atMost(PATIENCE).until(() -> isLive(number));
    assertThat(text("select sentence from history_entry where sentence like '%went live%'"))
        .contains("after the hour set for it, since Osmerin was not running then");
  }

  @Test
  void aNodeThatIsKilledWhilePublishingAtAnHourIsFollowedByTheNext() {
    String number = ready("Killed at its hour");
    blog.beforeAnswer(
        () -> {
          blog.beforeAnswer(() -> {});
          node.kill();
        });
    setHour(number, 5);
    await().atMost(PATIENCE).until(() -> published() == 1);
    restart();
    await().atMost(PATIENCE).until(() -> isLive(number));
    assertThat(published()).isEqualTo(1);
  }

  /** Sets the hour to at least so many seconds from now, enough for a slow machine to set it. */
  private void setHour(String number, int seconds) {
    LocalDateTime then = LocalDateTime.now(ZoneOffset.UTC).plusSeconds(seconds + 1L);
    String article = "/loam/articles/" + number;
    owner.post(
        article + "/publish-date",
        "from",
        "",
        "date",
        then.toLocalDate().toString(),
        "allTheSame",
        "true");
    String hour = then.toLocalTime().withNano(0).toString();
    owner.post(article + "/hour", "seen", "", "hour", hour);
    assertThat(
            number("select count(*) from round where publish_hour is not null and live_on is null"))
        .isPositive();
  }

  @Test
  void twoNodesShareSessionsAndJobs() {
    try (Node other = start()) {
      owner.goTo(other.base());
      assertThat(owner.get("/loam/desk").statusCode()).isEqualTo(200);
      for (int i = 0; i < 6; i++) {
        owner.goTo(i % 2 == 0 ? node.base() : other.base());
        setHour(ready("On two nodes " + i), 3);
      }
      await()
          .atMost(PATIENCE)
          .until(() -> number("select count(*) from round where live_on is not null") == 6);
      assertThat(published()).isEqualTo(6);
      assertThat(number("select count(*) from stage_move where to_id = " + stage("Live")))
          .isEqualTo(6);
      assertThat(number("select count(*) from history_entry where sentence like '%went live%'"))
          .isEqualTo(6);
      HttpPerson leaving = new HttpPerson(other.base(), "una", PASSWORD);
      leaving.get("/loam/desk");
      leaving.post("/sign-out");
      leaving.goTo(node.base());
      assertThat(leaving.get("/loam/desk").statusCode()).isEqualTo(302);
      // The job goes on when the node that did it last is gone.
      node.kill();
      owner.goTo(other.base());
      String last = ready("On the node that is left");
      setHour(last, 3);
      await().atMost(PATIENCE).until(() -> isLive(last));
      assertThat(published()).isEqualTo(7);
    }
  }

  /** Commissions an article and takes it to Ready. */
  private String ready(String title) {
    owner.get("/loam/pitches");
    owner.post("/loam/pitches", "title", title);
    long pitch = number("select max(id) from pitch");
    long type = number("select min(id) from article_type where kind = 'NEW'");
    owner.post("/loam/pitches/" + pitch + "/commission", "title", title, "type", "" + type);
    String number = text("select 'LM-' || lpad(max(number)::text, 4, '0') from article");
    String article = "/loam/articles/" + number;
    owner.post(article + "/draft", "text", "# " + title + "\n\nWords.", "seen", "0");
    owner.post(
        article + "/stage",
        "seen",
        "" + stage("Commissioned"),
        "to",
        "" + stage("Ready"),
        "anyway",
        "true");
    assertThat(number("select count(*) from round where stage_id = " + stage("Ready")))
        .isPositive();
    return number;
  }

  private long stage(String name) {
    return number("select id from stage where name = '" + name + "'");
  }

  /** How many entries the blog has from this test. */
  private int published() {
    return blog.count() - onBlogBefore;
  }

  private boolean isLive(String number) {
    int article = Integer.parseInt(number.substring(number.indexOf('-') + 1));
    return number(
            "select count(*) from round r join article a on a.id = r.article_id where a.number = "
                + article
                + " and r.live_on is not null")
        == 1;
  }

  private Thread killSoon(int millis) {
    Node doomed = node;
    Thread killer =
        new Thread(
            () -> {
              pause(millis);
              doomed.kill();
            });
    killer.start();
    return killer;
  }

  /** Lets the node work for a while before it is killed; there is nothing to wait for. */
  private static void pause(int millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void join(Thread thread) {
    try {
      thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static String path(String location) {
    return location.replaceFirst("^https?://[^/]+", "");
  }

  private long number(String sql) {
    return Long.parseLong(text(sql));
  }

  private void change(String sql) {
    try (Connection connection =
            DriverManager.getConnection(database, TestDatabase.user(), TestDatabase.password());
        Statement statement = connection.createStatement()) {
      statement.executeUpdate(sql);
    } catch (SQLException e) {
      throw new IllegalStateException(sql, e);
    }
  }

  private String text(String sql) {
    try (Connection connection =
            DriverManager.getConnection(database, TestDatabase.user(), TestDatabase.password());
        Statement statement = connection.createStatement();
        ResultSet result = statement.executeQuery(sql)) {
      result.next();
      return result.getString(1);
    } catch (SQLException e) {
      throw new IllegalStateException(sql, e);
    }
  }
}
