package osmerin.app.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.groups.GroupService;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;

class AnswersTest extends ApplicationTest {
  @Autowired private Answers answers;
  @Autowired private TypedKeywords typedKeywords;
  @Autowired private ArticleService articles;
  @Autowired private GroupService groups;
  @Autowired private ImportService imports;
  @Autowired private UndoService undo;
  private SiteContext site;
  private long eels;
  private Round round;

  @BeforeEach
  void anArticleWithoutAGroup() {
    site = emptySite();
    imports.importFile(
        site,
        "eels.csv",
        "keyword,volume,difficulty,urls\neel trap,900,20,a.example/1 a.example/2 a.example/3\nrye bread,400,30,b.example/1 b.example/2 b.example/3\n"
            .getBytes(StandardCharsets.UTF_8));
    eels = groups.named(site, "eel trap");
    round = commission("Eels at night");
  }

  private Round commission(String title) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    return articles.commission(site, new Commission(title, type, null, Map.of(), null));
  }

  private Long answered() {
    return articles.get(site, round.article().number()).article().groupId();
  }

  private void say(Long seen, Long group) {
    answers.say(site, round.article().number(), seen, group, false);
  }

  @Test
  void anArticleIsGivenAGroupAndItIsUndone() {
    say(null, eels);
    assertThat(answered()).isEqualTo(eels);
    say(eels, null);
    assertThat(answered()).isNull();
    undo.undoLatest(site);
    assertThat(answered()).isEqualTo(eels);
    undo.undoLatest(site);
    assertThat(answered()).isNull();
  }

  @Test
  void whoIsLaterIsTold() {
    say(null, eels);
    assertThatThrownBy(() -> say(null, groups.named(site, "rye bread")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Someone else");
  }

  @Test
  void aGroupThatAnotherArticleAnswersIsAskedAbout() {
    say(null, eels);
    Round second = commission("More eels");
    int number = second.article().number();
    assertThatThrownBy(() -> answers.say(site, number, null, eels, false))
        .isInstanceOf(AskException.class)
        .hasMessageContaining("compete");
    answers.say(site, number, null, eels, true);
    assertThat(articles.get(site, number).article().groupId()).isEqualTo(eels);
  }

  @Test
  void aGroupIsMadeOfTypedKeywordsKnownOnesMoveIntoIt() {
    long made =
        typedKeywords.group(site, " eel smoker \n\nhome smoker, \"cold\"\nEel  Trap\neel smoker\n");
    assertThat(groups.keywords(site, made).primary()).isEqualTo("eel trap");
    assertThat(groups.keywords(site, made).secondary())
        .containsExactlyInAnyOrder("eel smoker", "home smoker, \"cold\"");
    assertThat(groups.states(site.siteId(), java.util.List.of(eels)).get(0).keywords()).isZero();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  \n \n", "…\n—"})
  void noKeywordMakesNoGroup(String typed) {
    assertThatThrownBy(() -> typedKeywords.group(site, typed)).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> typedKeywords.group(site, "x".repeat(201)))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("200");
  }

  @Test
  void onlyStrategistsChoose() {
    SiteContext editor = join(site.site(), "Per Holm", Role.EDITOR);
    assertThatThrownBy(() -> answers.say(editor, 1, null, eels, false))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void pageDrawerBriefAndLedgerShowTheResearch() {
    say(null, eels);
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    String here = site.base() + "/articles/" + round.reference();
    for (String page : java.util.List.of(here, here + "/drawer", here + "/brief")) {
      assertThat(person.get(page).body())
          .as(page)
          .contains("Primary keyword", "900 a month", "Expected visits", "no evidence yet");
    }
    assertThat(
            person
                .get(site.base() + "/articles?columns=group,keyword,searches,chance,visits,words")
                .body())
        .contains("Word target", "Expected visits", "eel trap", ">900<");
  }

  /** Pressed with an empty field, "Set" once took the group away. */
  @Test
  void anEmptyNameIsAskedForAndTakesNothingAway() {
    say(null, eels);
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    String here = site.base() + "/articles/" + round.reference();
    person.get(here);
    String seen = String.valueOf(eels);
    assertThat(person.post(here + "/group", "seen", seen, "value", " ").statusCode())
        .isEqualTo(422);
    assertThat(answered()).isEqualTo(eels);
    assertThat(person.post(here + "/group", "seen", seen, "none", "true").statusCode())
        .isEqualTo(302);
    assertThat(answered()).isNull();
  }

  @Test
  void sayingWhatIsSaidAlreadyIsNoChange() {
    say(null, eels);
    say(eels, eels);
    undo.undoLatest(site);
    assertThat(answered()).isNull();
  }

  @Test
  void keywordsThatSomebodyWasFasterThanMakeNoGroup() {
    say(null, eels);
    assertThatThrownBy(() -> answers.sayTyped(site, round.article().number(), null, "eel smoker"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Someone else");
    assertThatThrownBy(() -> groups.named(site, "eel smoker")).isInstanceOf(RefusedException.class);
  }

  @Test
  void overHttpAGroupIsChosenByItsNameOrTyped() {
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    String here = site.base() + "/articles/" + round.reference();
    person.get(here);
    assertThat(person.post(here + "/group", "value", "no such group").statusCode()).isEqualTo(422);
    assertThat(person.post(here + "/group", "seen", "", "value", "Eel Trap").statusCode())
        .isEqualTo(302);
    assertThat(answered()).isEqualTo(eels);
    person.post(
        here + "/group/typed", "seen", String.valueOf(eels), "keywords", "eel smoker\nsmoked eel");
    assertThat(groups.keywords(site, answered()).secondary()).hasSize(1);
  }
}
