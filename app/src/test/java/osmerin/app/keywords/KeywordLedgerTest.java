package osmerin.app.keywords;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.imports.ImportService;
import osmerin.app.keywords.KeywordMapper.KeywordRow;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

class KeywordLedgerTest extends ApplicationTest {
  private static final String FILE =
      """
      keyword,volume,difficulty,cpc,intent,urls
      eel trap,900,20,0.75,informational,a.example/1 a.example/2 a.example/3
      old eel trap,300,,,informational,a.example/1 a.example/2 a.example/3
      rye bread,400,30,1.20,commercial,b.example/1 b.example/2 b.example/3
      100% rye bread,,35,,commercial,
      =smoked eel,50,60,2.00,transactional,
      """;

  @Autowired private ImportService imports;
  @Autowired private KeywordLedger ledger;
  @Autowired private KeywordMapper keywords;
  @Autowired private ArticleService articles;
  private SiteContext site;

  @BeforeEach
  void fiveKeywords() {
    site = emptySite();
    imports.importFile(site, "eels.csv", FILE.getBytes(StandardCharsets.UTF_8));
  }

  @ParameterizedTest
  @CsvSource({
    "q, eel, eel trap|old eel trap|=smoked eel",
    "q, trap old, old eel trap",
    "q, 100%, 100% rye bread",
    "starts, rye, rye bread",
    "without, eel, rye bread|100% rye bread",
    "volumeFrom, 400, eel trap|rye bread",
    "volumeTo, 300, old eel trap|=smoked eel",
    "difficultyFrom, 35, =smoked eel|100% rye bread",
    "difficultyTo, 20, eel trap",
    "intent, TRANSACTIONAL, =smoked eel",
    "pages, no, =smoked eel|100% rye bread",
    "covered, yes, ''",
    "sort, keyword, 100% rye bread|=smoked eel|eel trap|old eel trap|rye bread",
    "sort, -difficulty, old eel trap|=smoked eel|100% rye bread|rye bread|eel trap",
    "volumeFrom, abc, eel trap|old eel trap|rye bread|100% rye bread|=smoked eel",
    "group, x, eel trap|old eel trap|rye bread|100% rye bread|=smoked eel",
    "sort, nonsense, eel trap|rye bread|old eel trap|=smoked eel|100% rye bread",
  })
  void filtersAndSorts(String field, String value, String expected) {
    List<String> found = texts(Map.of(field, value));
    if (field.equals("sort")) {
      assertThat(String.join("|", found)).isEqualTo(expected);
    } else {
      assertThat(found)
          .containsExactlyInAnyOrder(expected.isEmpty() ? new String[0] : expected.split("\\|"));
    }
  }

  @Test
  void aKeywordIsCoveredWhenAnArticleAnswersItsGroup() {
    long group = rows(Map.of("q", "trap")).get(0).groupId();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Traps", type, group, Map.of(), null));
    assertThat(texts(Map.of("covered", "yes"))).contains("eel trap", "old eel trap");
    assertThat(texts(Map.of("covered", "no"))).doesNotContain("eel trap").contains("rye bread");
    assertThat(texts(Map.of("group", String.valueOf(group)))).contains("eel trap");
  }

  @Test
  void everyOrderIsTurnedRoundExactly() {
    for (String column : List.of("keyword", "volume", "difficulty", "cost")) {
      List<String> up = texts(Map.of("sort", column));
      List<String> down = new java.util.ArrayList<>(texts(Map.of("sort", "-" + column)));
      java.util.Collections.reverse(down);
      assertThat(down).as(column).isEqualTo(up);
    }
  }

  @Test
  void allThatMatchIsExportedAndNothingRunsInASpreadsheet() {
    StringWriter out = new StringWriter();
    ledger.write(site, filter(Map.of("q", "eel")), out);
    List<String> lines = out.toString().lines().toList();
    assertThat(lines).hasSize(4);
    assertThat(lines.get(0)).isEqualTo(String.join(",", KeywordLedger.HEADER));
    assertThat(lines.get(1)).startsWith("eel trap,900,20,0.75,informational,3,eel trap,");
    assertThat(lines.get(3)).startsWith("'=smoked eel,");
  }

  @Test
  void nothingOfAnotherSiteIsShown() {
    site = emptySite();
    assertThat(texts(Map.of())).isEmpty();
  }

  private List<String> texts(Map<String, String> asked) {
    return rows(asked).stream().map(KeywordRow::text).toList();
  }

  private List<KeywordRow> rows(Map<String, String> asked) {
    List<KeywordRow> found =
        ledger.page(site, filter(asked)).rows().stream().map(KeywordLedger.Row::keyword).toList();
    assertThat(keywords.rows(site.siteId(), filter(asked), null, 0, 100))
        .as("as they are found where many match")
        .isEqualTo(found);
    return found;
  }

  static KeywordFilter filter(Map<String, String> asked) {
    Map<String, String> a = new HashMap<>(asked);
    return new KeywordFilter(
        a.get("q"),
        a.get("starts"),
        a.get("without"),
        a.get("volumeFrom"),
        a.get("volumeTo"),
        a.get("difficultyFrom"),
        a.get("difficultyTo"),
        a.get("intent"),
        a.get("group"),
        null,
        null,
        a.get("covered"),
        a.get("pages"),
        a.get("excluded"),
        a.get("fold"),
        null,
        a.get("sort"),
        null,
        null);
  }
}
