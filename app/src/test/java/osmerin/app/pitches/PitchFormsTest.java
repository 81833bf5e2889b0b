package osmerin.app.pitches;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;

/** Pitching groups, and the days that its forms take. */
class PitchFormsTest extends ApplicationTest {
  @Autowired private ImportService imports;
  @Autowired private GroupService groups;
  @Autowired private ArticleService articles;
  @Autowired private PitchService pitches;
  private SiteContext site;
  private HttpPerson person;
  private String base;
  private long eels;
  private long bread;

  @BeforeEach
  void twoGroupsOneOfThemWithAnArticle() {
    site = emptySite();
    String file =
        """
        keyword,volume,urls
        eel trap,900,t.example/1 t.example/2 t.example/3
        rye bread,400,b.example/1 b.example/2 b.example/3
        """;
    imports.importFile(site, "f.csv", file.getBytes(StandardCharsets.UTF_8));
    eels = groups.named(site, "eel trap");
    bread = groups.named(site, "rye bread");
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Trapping eels", type, eels, Map.of(), null));
    person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    base = "/" + site.site().slug();
    person.get(base + "/pitches");
  }

  @Test
  void aGroupThatHasAnArticleIsPitchedOnlyAnyway() {
    HttpResponse<String> asked = pitch(eels, "false");
    assertThat(asked.statusCode()).isEqualTo(409);
    assertThat(asked.body()).contains("This group has an article already", "Trapping eels");
    assertThat(pitches.countOpen(site)).isZero();
    assertThat(pitch(eels, "true").statusCode()).isEqualTo(302);
    assertThat(pitches.countOpen(site)).isEqualTo(1);
  }

  @Test
  void aGroupWithoutOneIsPitchedAtOnce() {
    assertThat(pitch(bread, "false").statusCode()).isEqualTo(302);
    assertThat(pitches.countOpen(site)).isEqualTo(1);
  }

  private HttpResponse<String> pitch(long group, String anyway) {
    return person.post(
        base + "/pitches/of-groups", "marked", String.valueOf(group), "anyway", anyway);
  }

  @Test
  void aDayIsReadAsPeopleTypeItAndWhatIsNoneKeepsTheForm() {
    assertThat(person.get(base + "/day?typed=%2B5").body())
        .contains(site.today().plusDays(5).toString());
    HttpResponse<String> none = person.get(base + "/day?typed=soon");
    assertThat(none.statusCode()).isEqualTo(422);
    assertThat(none.body()).contains("“soon” is not a day");
    String form = base + "/research/groups/" + bread + "/commission";
    person.get(form);
    HttpResponse<String> refused = commission(form, "soon");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("Baking rye", "soon", "Type a day such as");
    assertThat(commission(form, "+60").statusCode()).isEqualTo(302);
    assertThat(articles.get(site, 2).publishDate()).isEqualTo(site.today().plusDays(60));
  }

  private HttpResponse<String> commission(String form, String day) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    return person.post(
        form, "title", "Baking rye", "type", String.valueOf(type), "publishDate", day);
  }
}
