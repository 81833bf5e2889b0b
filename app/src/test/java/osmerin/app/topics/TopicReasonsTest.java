package osmerin.app.topics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.grouping.GroupMarks;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupRow;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.imports.Uploads;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.formats.keywords.KeywordFile;

/** Why groups are in their topics, and what becomes of that when people move and name things. */
class TopicReasonsTest extends ApplicationTest {
  @Autowired private ImportService imports;
  @Autowired private Uploads uploads;
  @Autowired private GroupLists groupLists;
  @Autowired private TopicService topicService;
  @Autowired private GroupMarks marks;
  @Autowired private TopicEdits topics;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void twoTopics() {
    site = emptySite();
    imports.importFile(site, "words.csv", file().getBytes(StandardCharsets.UTF_8));
  }

  /** Keywords with pages enough, so that only topics ask what they mean. */
  private static String file() {
    StringBuilder rows = new StringBuilder("keyword,volume,urls\n");
    List<String> texts =
        List.of(
            "smoke eel",
            "eel smoker",
            "eel smoking wood",
            "cold smoked eel",
            "rye bread",
            "rye bread starter",
            "rye bread oven",
            "dark rye bread");
    for (int i = 0; i < texts.size(); i++) {
      int group = i;
      String sites = i < 4 ? "fish" : "bake";
      List<String> pages =
          IntStream.range(0, 6).mapToObj(page -> sites + page + ".example/" + group).toList();
      rows.append(texts.get(i)).append(",100,").append(String.join(" ", pages)).append('\n');
    }
    return rows.toString();
  }

  @Test
  void aGroupSaysHowNearItIsAndByWhichWordsAndNoLongerOnceItIsMoved() {
    GroupRow group = group("rye bread");
    assertThat(group.topicNear()).isBetween(0.1, 1.0);
    assertThat(group.topicWords()).contains("rye");
    marks.toTopic(site, List.of(group.id()), "By hand");
    assertThat(group("rye bread").topicNear()).isNull();
    assertThat(group("rye bread").topicWords()).isEmpty();
    undo.undoLatest(site);
    assertThat(group("rye bread").topicId()).isEqualTo(group.topicId());
  }

  @Test
  void anotherTopicThatFitsIsCalledByItsNameOfNow() {
    TopicRow bread = topic(group("rye bread").topicId());
    jdbc.update(
        "update keyword_group set also_topic_id = ? where id = ?",
        bread.id(),
        group("smoke eel").id());
    topics.rename(site, bread.id(), "Baking", bread.name());
    assertThat(group("smoke eel").alsoTopic()).isEqualTo("Baking");
  }

  @Test
  void aStopWhileTopicsAreGatheredIsAStop() {
    SiteContext other = emptySite();
    String file = file();
    UUID id = uploads.keep(other, "words.csv", file.getBytes(StandardCharsets.UTF_8));
    assertThatThrownBy(
            () ->
                imports.importWaiting(
                    other,
                    id,
                    new KeywordFile(file.getBytes(StandardCharsets.UTF_8)).guess(),
                    (step, done, total) -> {
                      if (step.startsWith("Comparing what")) {
                        throw new CancellationException("stopped");
                      }
                    }))
        .isInstanceOf(CancellationException.class)
        .hasMessage("stopped");
    assertThat(topicService.overview(other).counts().keywords()).isZero();
  }

  @Test
  void groupsThatFitNowhereAreInNoTopicAndListedLast() {
    imports.importFile(
        site,
        "more.csv",
        "keyword,volume,urls\nzither strings,9,z.example/1 z.example/2 z.example/3 z.example/4 z.example/5\n"
            .getBytes(StandardCharsets.UTF_8));
    assertThat(groupLists.withoutTopic(site))
        .extracting(g -> g.row().name())
        .containsExactly("zither strings");
    assertThat(topicService.overview(site).counts().homeless()).isEqualTo(1);
    marks.toTopic(site, List.of(group("zither strings").id()), "Music");
    assertThat(groupLists.withoutTopic(site)).isEmpty();
  }

  private GroupRow group(String name) {
    return groupLists.ofTopic(site, null).stream().map(Group::row).toList().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private TopicRow topic(long id) {
    return topicService.all(site.siteId()).stream()
        .filter(t -> t.id() == id)
        .findFirst()
        .orElseThrow();
  }
}
