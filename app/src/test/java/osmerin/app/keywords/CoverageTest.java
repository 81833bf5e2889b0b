package osmerin.app.keywords;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupOrder;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.app.topics.TopicService.Overview;
import osmerin.app.topics.TopicService.TopicPage;
import osmerin.core.article.Kind;
import osmerin.core.coverage.Covered;

/** What a topic's demand is covered by. */
class CoverageTest extends ApplicationTest {
  private static final KeywordFilter COVERED =
      new KeywordFilter(
          null, null, null, null, null, null, null, null, null, null, null, "yes", null, null, null,
          null, null, null, null);

  @Autowired private ImportService imports;
  @Autowired private GroupService groupService;
  @Autowired private GroupLists groupLists;
  @Autowired private TopicService topicService;
  @Autowired private ArticleService articles;
  @Autowired private KeywordMapper keywords;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;

  @BeforeEach
  void bringResearch() {
    site = emptySite();
    String file =
        "keyword,volume,difficulty,urls\n"
            + "sourdough starter,900,20,a.example/1 a.example/2 a.example/3\n"
            + "sourdough bread,600,40,a.example/4 a.example/5 a.example/6\n"
            + "sourdough crumb,300,,a.example/7 a.example/8 a.example/9\n";
    imports.importFile(site, "f.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void anArticleInWorkCoversItsGroupsDemand() {
    Overview before = topicService.overview(site);
    assertThat(before.counts().open()).isEqualTo(3);
    assertThat(before.topics()).hasSize(1);
    Group starter = before.next().get(0);
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Starters", type, starter.row().id(), Map.of(), null));
    Overview after = topicService.overview(site);
    assertThat(after.counts().open()).isEqualTo(2);
    assertThat(after.topics().get(0).covered().inWork()).isEqualTo(900);
    assertThat(after.topics().get(0).covered().live()).isZero();
    assertThat(after.topics().get(0).covered().open()).isEqualTo(900);
    assertThat(after.next())
        .extracting(g -> g.row().name())
        .containsExactly("sourdough bread", "sourdough crumb");
    assertThat(groupLists.open(site)).isEqualTo(2);
    assertThat(groupService.group(site, starter.row().id()).articles()).hasSize(1);
  }

  /** The statement with the id of the stage that it names in braces. */
  private String withStage(String statement) {
    Matcher named = Pattern.compile("\\{(\\w+)}").matcher(statement);
    return named.replaceAll(found -> String.valueOf(stage(site, found.group(1))));
  }

  /** The statements that only choose agree with what core calls answered. */
  @Test
  void everyPageCallsTheSameGroupsAnswered() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    long group = topicService.overview(site).next().get(0).row().id();
    for (String set :
        new String[] {
          "update round set latest = latest",
          "update round set stage_id = {Retired} where article_id = ?",
          "update round set stage_id = {Ready} where article_id = ?",
          "update round set stage_id = {Live}, live_at = now(), live_on = now() where article_id = ?",
          "update round set stage_id = {Retired} where article_id = ?",
          "update round set stage_id = {Live} where article_id = ?",
          "update article set archived_at = now() where id = ?"
        }) {
      if (set.endsWith("latest")) {
        articles.commission(site, new Commission("Starters", type, group, Map.of(), null));
      } else {
        long id =
            jdbc.queryForObject(
                "select id from article where site_id = ?", Long.class, site.siteId());
        jdbc.update(withStage(set), id);
      }
      boolean answered = groupService.group(site, group).coverage().isAnswered();
      Overview overview = topicService.overview(site);
      assertThat(overview.counts().open()).as(set).isEqualTo(answered ? 2 : 3);
      assertThat(groupLists.open(site)).as(set).isEqualTo(answered ? 2 : 3);
      assertThat(overview.next()).as(set).hasSize(answered ? 2 : 3);
      Covered covered = overview.topics().get(0).covered();
      assertThat(covered.live() + covered.inWork()).as(set).isEqualTo(answered ? 900 : 0);
      assertThat(keywords.counts(site.siteId(), COVERED).all()).as(set).isEqualTo(answered ? 1 : 0);
    }
  }

  @Test
  void aTopicsDifficultyIsWeighedByDemandAndUnknownOnesAreLeftOut() {
    TopicPage topic =
        topicService.topic(
            site, topicService.overview(site).topics().get(0).topic().id(), GroupOrder.DEMAND);
    assertThat(topic.groups()).hasSize(3);
    assertThat(topic.summary().difficulty()).isEqualTo((900 * 20 + 600 * 40) / 1500.0);
    assertThat(topic.summary().searches()).isEqualTo(1800);
  }

  @Test
  void anotherSitesTopicsAndGroupsAreNotThere() {
    SiteContext other = emptySite();
    Group group = topicService.overview(site).next().get(0);
    assertThatThrownBy(() -> groupService.group(other, group.row().id()))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> topicService.topic(other, group.row().topicId(), GroupOrder.YIELD))
        .isInstanceOf(NotFoundException.class);
    // Nor can a group of another site be commissioned by its number.
    long type = types.list(other.siteId(), Kind.NEW).get(0).id();
    assertThat(
            articles
                .commission(other, new Commission("Sly", type, group.row().id(), Map.of(), null))
                .article()
                .groupId())
        .isNull();
  }
}
