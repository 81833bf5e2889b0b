package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.pitches.PitchService;
import osmerin.app.publishing.Publishing;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;

/** Two who do the same at one moment: one wins, the other is told, and nothing breaks. */
class RacesTest extends ApplicationTest {
  private static final int TOGETHER = 6;

  @Autowired private ArticleService articles;
  @Autowired private GroupService groups;
  @Autowired private GroupLists groupLists;
  @Autowired private ImportService imports;
  @Autowired private PitchService pitches;
  @Autowired private Publishing publishing;
  private final ExecutorService threads = Executors.newFixedThreadPool(TOGETHER);
  private final List<HttpPerson> people = new ArrayList<>();
  private SiteContext site;

  @BeforeEach
  void signIn() {
    site = emptySite();
    for (int i = 0; i < TOGETHER; i++) {
      HttpPerson person =
          new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
      person.get(site.base() + "/pitches");
      people.add(person);
    }
  }

  @AfterEach
  void end() {
    threads.shutdownNow();
  }

  @Test
  void aSiteOfOneNameIsAddedByEachWithoutAnError() throws Exception {
    List<Integer> answers =
        atOnce(
            "/sites/add", "name", "Loam", "address", "loam.example", "prefix", "LM", "zone", "UTC");
    assertThat(answers).allMatch(status -> status < 500);
  }

  @Test
  void oneGroupIsPitchedAtOnce() throws Exception {
    String csv = "keyword,volume\neel trap,90\n";
    imports.importFile(site, "k.csv", csv.getBytes(StandardCharsets.UTF_8));
    long group = groupLists.ofTopic(site, null).get(0).row().id();
    List<Integer> answers =
        atOnce(site.base() + "/pitches/of-groups", "marked", String.valueOf(group));
    assertThat(answers).allMatch(status -> status < 500);
    assertThat(pitches.countOpen(site)).isBetween(1L, (long) TOGETHER);
  }

  @Test
  void liveArticlesAreMatchedByAllAtOnce() throws Exception {
    String csv = "keyword,volume\neel trap,90\nsmelt net,80\n";
    imports.importFile(site, "k.csv", csv.getBytes(StandardCharsets.UTF_8));
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    for (String title : List.of("Eel traps", "Smelt nets")) {
      var round = articles.commission(site, new Commission(title, type, null, Map.of(), null));
      int number = round.article().number();
      stageMoves.move(site, number, stage(site, "Ready"), stage(site, "Commissioned"), true);
      String address = "https://site.example/" + number;
      publishing.wasPublishedElsewhere(site, number, address, site.today());
    }
    List<Integer> answers = atOnce(site.base() + "/live/inventory/match");
    assertThat(answers).allMatch(status -> status < 500);
  }

  @Test
  void anArticleIsMovedByOneAndTheOthersAreTold() throws Exception {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    var round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    List<Integer> answers =
        atOnce(
            site.base() + "/articles/" + round.reference() + "/stage",
            "to",
            "" + stage(site, "Briefed"),
            "seen",
            "" + stage(site, "Commissioned"),
            "anyway",
            "true");
    assertThat(answers).allMatch(status -> status < 500);
    assertThat(answers.stream().filter(status -> status < 400)).hasSize(1);
  }

  private List<Integer> atOnce(String path, String... fields) throws Exception {
    CountDownLatch go = new CountDownLatch(1);
    List<Future<Integer>> sent = new ArrayList<>();
    for (HttpPerson person : people) {
      sent.add(
          threads.submit(
              () -> {
                go.await();
                return person.post(path, fields).statusCode();
              }));
    }
    go.countDown();
    List<Integer> answers = new ArrayList<>();
    for (Future<Integer> one : sent) {
      answers.add(one.get());
    }
    return answers;
  }
}
