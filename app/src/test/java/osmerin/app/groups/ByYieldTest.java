package osmerin.app.groups;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.grouping.GroupMarks;
import osmerin.app.imports.ImportService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;

/** Which groups the plot shows when it cannot show all. */
class ByYieldTest extends ApplicationTest {
  private static final int GROUPS = 40;
  private static final int EACH = 10;

  @Autowired private ImportService imports;
  @Autowired private GroupLists groupLists;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private GroupMarks marks;
  @Autowired private ArticleService articles;
  private SiteContext site;

  /**
   * All equally difficult, each searched less than the one before; then two of which less is known.
   */
  @BeforeEach
  void manyGroups() {
    site = emptySite();
    StringBuilder file = new StringBuilder("keyword,volume,difficulty,urls\n");
    for (int i = 0; i < GROUPS; i++) {
      String pages = "p%1$d.example/1 p%1$d.example/2 p%1$d.example/3".formatted(i);
      file.append("subject%c%c,%d,20,%s%n".formatted('a' + i / 26, 'a' + i % 26, 9_000 - i, pages));
    }
    file.append("unsearched,,20,\nuneasy,70,,\n");
    imports.importFile(site, "many.csv", file.toString().getBytes(StandardCharsets.UTF_8));
  }

  private List<Group> groups(Among among) {
    return groupLists.byYield(site, among, EACH).groups();
  }

  private Group last() {
    return groupLists.byYield(site, Among.ALL, GROUPS).groups().stream()
        .filter(g -> g.row().searches() != null && g.row().searches() == 9_000 - GROUPS + 1)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void ofOneDifficultyTheMostSearchedAreShown() {
    assertThat(groups(Among.ALL))
        .filteredOn(g -> g.row().difficulty() != null)
        .hasSize(EACH)
        .allMatch(g -> g.row().searches() > 9_000 - EACH);
  }

  @Test
  void theFewOfAnIntentAreShownHoweverManyOthersAreSearchedMore() {
    Group rare = last();
    marks.setIntent(
        site, List.of(rare.row().id()), SearchIntent.TRANSACTIONAL, FunnelStage.DECISION);
    assertThat(groups(new Among(null, SearchIntent.TRANSACTIONAL, false)))
        .extracting(g -> g.row().id())
        .containsExactly(rare.row().id());
    assertThat(groups(new Among(null, SearchIntent.NAVIGATIONAL, false))).isEmpty();
  }

  @Test
  void theOpenOnesAreShownHoweverManyArticlesThereAre() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    for (Group group : groups(Among.ALL)) {
      articles.commission(
          site, new Commission("On " + group.row().name(), type, group.row().id(), Map.of(), null));
    }
    assertThat(groups(new Among(null, null, true)))
        .filteredOn(g -> g.row().difficulty() != null)
        .hasSize(EACH)
        .allMatch(Group::isOpen);
  }

  @Test
  void whatCannotBePlottedIsCountedUnderTheSameFilters() {
    assertThat(unknown(Among.ALL)).isEqualTo(2);
    assertThat(unknown(new Among(null, SearchIntent.TRANSACTIONAL, false))).isZero();
    assertThat(unknown(new Among(null, SearchIntent.INFORMATIONAL, true))).isEqualTo(2);
    assertThat(unknown(new Among(999_999L, null, false))).isZero();
  }

  private int unknown(Among among) {
    return groupLists.byYield(site, among, 5).unknown();
  }

  @Test
  void fewerHoursBringAGroupForwardHoweverFewSearchIt() {
    Group last = last();
    assertThat(groups(Among.ALL)).extracting(g -> g.row().id()).doesNotContain(last.row().id());
    jdbc.update(
        "insert into evidence (site_id, phrase, normal, simulated, fetched_at, words_low,"
            + " words_target, words_high) values (?, ?, ?, true, now(), 1, 20, 30)",
        site.siteId(),
        last.row().name(),
        last.row().name());
    assertThat(groups(Among.ALL))
        .filteredOn(g -> g.row().id() == last.row().id())
        .singleElement()
        .satisfies(g -> assertThat(g.worth().hours()).isLessThan(last.worth().hours()));
  }
}
