package osmerin.app.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.Entry;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteKeywords;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.core.article.Kind;
import osmerin.core.keyword.Volume;

class ImportUndoTest extends ApplicationTest {
  @Autowired private ImportService imports;
  @Autowired private TopicService topicService;
  @Autowired private SiteKeywords siteKeywords;
  @Autowired private ArticleService articles;
  @Autowired private History history;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void anImportAndItsUndoAreTheIdentity(long seed) {
    Random random = new Random(seed);
    bring(file(random, 40));
    List<String> first = keywords();
    bring(file(random, 60));
    assertThat(keywords()).isNotEqualTo(first);
    undo.undoLatest(site);
    assertThat(keywords()).isEqualTo(first);
    undo.undoLatest(site);
    assertThat(keywords()).isEmpty();
    assertThat(topicService.overview(site).counts().groups()).isZero();
  }

  private static String file(Random random, int rows) {
    StringBuilder file = new StringBuilder("keyword,volume,difficulty,urls\n");
    for (int i = 0; i < rows; i++) {
      int group = random.nextInt(12);
      file.append("word").append(random.nextInt(80)).append(" of w").append(group).append(',');
      file.append(random.nextInt(4) == 0 ? "" : random.nextInt(900)).append(',');
      file.append(random.nextInt(4) == 0 ? "-" : random.nextInt(100)).append(',');
      for (int page = 0; page < 6; page++) {
        file.append("s").append(group).append(".example/").append(random.nextInt(8)).append(' ');
      }
      file.append('\n');
    }
    return file.toString();
  }

  private List<String> keywords() {
    return siteKeywords.all(site.siteId()).stream()
        .map(
            k ->
                k.keyword().text()
                    + " "
                    + Optional.ofNullable(k.keyword().volume()).map(Volume::searches).orElse(null)
                    + " "
                    + k.keyword().difficulty()
                    + " "
                    + k.keyword().pages()
                    + k.groupId())
        .sorted()
        .toList();
  }

  @Test
  void aLaterImportOfTheSameKeywordsStandsInTheWay() {
    bring("keyword,volume\nrye bread,100\noat bread,50\n");
    bring("keyword,volume\nrye bread,120\n");
    List<Entry> entries = history.entries(site, Asked.ALL, 0, 9);
    assertThatThrownBy(() -> undo.undo(site, entries.get(1).id()))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("file.csv")
        .hasMessageContaining("1 keyword");
    undo.undo(site, entries.get(0).id());
    assertThat(keywords()).anyMatch(k -> k.startsWith("rye bread 100"));
    undo.undo(site, entries.get(1).id());
    assertThat(keywords()).isEmpty();
  }

  @Test
  void anArticleThatAnswersAGroupOfTheImportStandsInTheWay() {
    bring("keyword,volume\nrye bread,100\n");
    long group = new ArrayList<>(siteKeywords.all(site.siteId())).get(0).groupId();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round = articles.commission(site, new Commission("Rye", type, group, Map.of(), null));
    long entry = history.entries(site, Asked.ALL, 1, 1).get(0).id();
    assertThatThrownBy(() -> undo.undo(site, entry))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(round.reference());
    edits.archive(site, round.article().number(), true);
    undo.undo(site, entry);
    assertThat(keywords()).isEmpty();
    assertThat(articles.get(site, round.article().number()).title()).isEqualTo("Rye");
  }

  private void bring(String file) {
    imports.importFile(site, "file.csv", file.getBytes(StandardCharsets.UTF_8));
  }
}
