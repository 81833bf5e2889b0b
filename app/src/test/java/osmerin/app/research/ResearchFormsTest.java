package osmerin.app.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.grouping.GroupMarks;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupPages;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.app.topics.TopicService;
import osmerin.core.article.Kind;

/** Wrong input to the pages and forms of research: a clear answer, and nothing changed. */
class ResearchFormsTest extends ApplicationTest {
  private static final String FILE =
      """
      keyword,volume,difficulty,urls
      eel trap,900,20,t.example/1 t.example/2 t.example/3
      catch eels,300,30,t.example/1 t.example/2 t.example/3
      rye bread,400,30,b.example/1 b.example/2 b.example/3
      """;

  @Autowired private ImportService imports;
  @Autowired private GroupService groupService;
  @Autowired private GroupLists groupLists;
  @Autowired private TopicService topicService;
  @Autowired private GroupPages pages;
  @Autowired private ArticleService articles;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private GroupMarks marks;
  private SiteContext site;
  private HttpPerson person;
  private String base;

  @BeforeEach
  void twoGroups() {
    site = emptySite();
    imports.importFile(site, "eels.csv", FILE.getBytes(StandardCharsets.UTF_8));
    person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    base = "/" + site.site().slug() + "/research";
    person.get(base);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "?topic=abc",
        "/plot?topic=abc&intent=NONSENSE&open=",
        "/plot?topic=999999",
        "/keywords?columns=nonsense,volume&fold=maybe&group=none&page=-3",
        "/keywords?q=%7Bx%7D%25_%5C&sort=nonsense",
        "/regroup?mode=sideways&near=1000",
        "/no-topic?page=99",
        "/imports?page=99",
        "/excluded?page=0",
      })
  void nonsenseInAnAddressCountsAsNothingAsked(String path) {
    assertThat(person.get(base + path).statusCode()).isEqualTo(200);
  }

  @Test
  void commissioningSaysAnImpossibleDateBeforeItIsSet() {
    long group = topicService.overview(site).next().get(0).row().id();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    String form = base + "/groups/" + group + "/commission";
    String today = site.today().toString();
    HttpResponse<String> asked =
        person.post(form, "title", "Eel traps", "type", "" + type, "publishDate", today);
    assertThat(asked.statusCode()).isEqualTo(422);
    assertThat(asked.body()).contains("cannot be published on").contains("Eel traps");
    assertThat(groupLists.open(site)).isEqualTo(2);
    String use = asked.body().replaceAll("(?s).*name=\"use\" value=\"([^\"]+)\".*", "$1");
    HttpResponse<String> done =
        person.post(
            form, "title", "Eel traps", "type", "" + type, "publishDate", today, "use", use);
    assertThat(done.statusCode()).isEqualTo(302);
    assertThat(articles.get(site, 1).publishDate()).isEqualTo(use);
    String refresh = "/" + site.site().slug() + "/articles/" + articles.get(site, 1).reference();
    jdbc.update(
        "update round set stage_id = ?, live_at = now(), live_on = now() where article_id in"
            + " (select id from article where site_id = ?)",
        stage(site, "Live"),
        site.siteId());
    long depth = types.list(site.siteId(), Kind.REFRESH).get(2).id();
    HttpResponse<String> question =
        person.post(refresh + "/refresh", "depth", "" + depth, "date", today);
    assertThat(question.statusCode()).isEqualTo(409);
    assertThat(question.body()).contains("The earliest possible date is").contains("anyway");
    assertThat(
            person
                .post(refresh + "/refresh", "depth", "" + depth, "date", today, "anyway", "true")
                .statusCode())
        .isEqualTo(302);
  }

  @Test
  void aFileThatWasImportedLeadsToTheImports() {
    HttpResponse<String> gone = person.get(base + "/import/" + UUID.randomUUID());
    assertThat(gone.statusCode()).isEqualTo(302);
    assertThat(gone.headers().firstValue("Location").orElse("")).endsWith(base + "/imports");
    assertThat(person.post(base + "/import/" + UUID.randomUUID()).statusCode()).isEqualTo(404);
  }

  @Test
  void aTopicThatAllGroupsLeftStillAnswers() {
    marks.toTopic(site, List.of(groups().get(0).id()), "Some of eels");
    GroupRow group = groups().get(0);
    marks.toTopic(site, List.of(group.id()), "All of eels");
    HttpResponse<String> answer = person.get(base + "/topics/" + group.topicId());
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(answer.body()).contains("No groups here any more");
  }

  @ParameterizedTest
  @CsvSource({
    "/topics/999999, 404",
    "?topic=999999, 404",
    "/groups/999999, 404",
    "/groups/999999/split, 404",
    "/keywords/999999/drawer, 404",
    "/imports/999999, 404",
    "/why?marked=1, 422",
    "/why?marked=999998&marked=999999, 404",
    "/regroup?minShared=0, 422",
    "/regroup?minShared=11, 422",
  })
  void whatIsNotThereIsSaidSo(String path, int status) {
    HttpResponse<String> answer = person.get(base + path);
    assertThat(answer.statusCode()).isEqualTo(status);
    assertThat(answer.body()).doesNotContain("Something broke");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/groups/bulk | what=LOCK | 422 | Mark the groups first",
        "/groups/bulk | what=MERGE&marked=GROUP | 422 | Mark two groups",
        "/groups/bulk | what=MERGE&marked=GROUP&value=nobody | 422 | no group “nobody”",
        "/groups/bulk | what=TOPIC&marked=GROUP&value=  | 422 | Say which topic",
        "/groups/bulk | what=INTENT&marked=GROUP | 422 | Choose an intent",
        "/groups/bulk | what=ARCHIVE&marked=999999 | 404 | no such page",
        "/groups/bulk | what=NONSENSE&marked=GROUP | 404 | no such page",
        "/groups/GROUP/name | name=+&seen=eel trap | 422 | It is still “eel trap”",
        "/groups/GROUP/name | name=Traps&seen=another | 409 | Traps",
        "/groups/GROUP/split | parts=3 | 422 | would now split into",
        "/groups/GROUP/take | | 422 | Mark the keywords first",
        "/groups/GROUP/absorb | | 422 | two groups",
        "/keywords/bulk | what=MOVE&value=rye bread | 422 | Mark the keywords first",
        "/keywords/bulk | what=MOVE&marked=KEYWORD&value= | 422 | Say which group",
        "/keywords/bulk | what=INTENT&marked=KEYWORD&value=LOVE | 422 | Choose an intent",
        "/keywords/bulk | what=PLACE&marked=KEYWORD | 422 | waits for a group",
        "/keywords/bulk | what=MOVE&marked=999999&value=rye bread | 404 | no such page",
        "/keywords/views | name=&query=q=eel | 422 | 1 to 60 characters",
        "/keywords/views/999999/delete | | 404 | no such page",
        "/excluded | text= | 422 | Type the words",
        "/excluded/999999/remove | | 404 | no such page",
        "/regroup | minShared=3&mode=loose&seal=another | 422 | Look again",
        "/regroup | minShared=3&mode=loose&near=99&seal=x | 422 | nearness from 30 to 60",
        "/regroup/settings | minShared=99&mode=loose | 422 | at most 10",
        "/regroup/settings | minShared=3&mode=loose&near=5 | 422 | nearness from 30 to 60",
        "/keywords/999999/language | language=de | 404 | no such page",
        "/strength/learned | on=true | 422 | at least 30",
      })
  void aRefusedFormSaysWhyAndChangesNothing(String path, String fields, int status, String words) {
    List<GroupRow> before = groups();
    long group = before.get(0).id();
    String keyword = String.valueOf(pages.page(site, group).primaryId());
    HttpResponse<String> answer =
        person.post(
            base + path.replace("GROUP", String.valueOf(group)),
            fields(fields, String.valueOf(group), keyword));
    assertThat(answer.statusCode()).isEqualTo(status);
    assertThat(answer.body()).contains(words);
    assertThat(groups()).isEqualTo(before);
  }

  private static String[] fields(String typed, String group, String keyword) {
    if (typed == null) {
      return new String[0];
    }
    return Arrays.stream(typed.split("&"))
        .flatMap(
            field -> {
              String[] parts = field.split("=", 2);
              return Stream.of(
                  parts[0],
                  parts[1].replace("GROUP", group).replace("KEYWORD", keyword).replace("+", " "));
            })
        .toArray(String[]::new);
  }

  private List<GroupRow> groups() {
    return groupService.rows(site.siteId());
  }

  @Test
  void theLedgerOpensWithTheViewOfChoice() {
    person.post(
        base + "/keywords/views", "name", "Bread", "query", "q=bread&fold=no", "first", "true");
    HttpResponse<String> opened = person.get(base + "/keywords");
    assertThat(opened.statusCode()).isEqualTo(302);
    assertThat(opened.headers().firstValue("Location").orElse(""))
        .endsWith("/keywords?q=bread&fold=no");
    assertThat(person.get(base + "/keywords?fold=yes").body()).contains("3 keywords");
  }

  @Test
  void columnsStandInTheOrderChosen() {
    String page = person.get(base + "/keywords?columns=topic&columns=volume").body();
    assertThat(page.indexOf(">Topic<")).isPositive();
    String head = page.substring(page.indexOf("<thead>"), page.indexOf("</thead>"));
    assertThat(head.indexOf("Topic")).isLessThan(head.indexOf("Searches a month"));
    assertThat(head).doesNotContain("Difficulty");
  }

  @Test
  void theNamesOfGroupsAreOfferedWhileSomebodyTypes() {
    assertThat(person.get(base + "/groups/names?value=BRE").body()).contains("rye bread");
    assertThat(person.get(base + "/groups/names?value=%25").body()).doesNotContain("rye bread");
  }
}
