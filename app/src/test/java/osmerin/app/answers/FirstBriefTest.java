package osmerin.app.answers;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.groups.GroupService;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;

class FirstBriefTest extends ApplicationTest {
  @Autowired private FirstBrief briefs;
  @Autowired private GroupService groups;
  @Autowired private ImportService imports;
  @Autowired private ArticleService articles;
  @Autowired private UndoService undo;
  private SiteContext site;
  private long group;

  @BeforeEach
  void aGroup() {
    site = emptySite();
    imports.importFile(
        site, "hens.csv", "keyword,volume\nchicken coop,90\n".getBytes(StandardCharsets.UTF_8));
    group = groups.named(site, "chicken coop");
  }

  @Test
  void itCommissionsWithoutADateOnceAndIsUndoneAsOne() {
    FirstBrief.Begun begun = briefs.begin(site, group);
    assertThat(begun.existed()).isFalse();
    Round round = begun.round();
    assertThat(round.title()).isEqualTo("Chicken coop");
    assertThat(round.publishDate()).isNull();
    assertThat(round.article().groupId()).isEqualTo(group);
    FirstBrief.Begun again = briefs.begin(site, group);
    assertThat(again.existed()).isTrue();
    assertThat(again.round().reference()).isEqualTo(round.reference());
    undo.undoLatest(site);
    assertThat(groups.group(site, group).isOpen()).isTrue();
  }

  @Test
  void itLeadsToTheBriefWithItsEvidence() {
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    person.get(site.base() + "/research/groups/" + group);
    assertThat(
            person.postAndWait(site.base() + "/research/groups/" + group + "/brief").statusCode())
        .isEqualTo(302);
    String brief = site.base() + "/articles/" + articles.get(site, 1).reference() + "/brief";
    assertThat(person.get(brief).body()).contains("pages for “chicken coop”", "Suggest titles");
    person.post(brief + "/titles/suggest");
    assertThat(person.get(brief).body()).contains("on the bench");
    assertThat(person.post(brief + "/propose").statusCode()).isEqualTo(302);
    assertThat(person.get(brief).body()).contains("outline-row");
  }
}
