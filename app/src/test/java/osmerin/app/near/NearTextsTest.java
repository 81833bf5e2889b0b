package osmerin.app.near;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.live.InventoryIntake;
import osmerin.app.near.NearTexts.Near;
import osmerin.app.pitches.PitchService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;

/** What is near a text, and what is asked of whoever chooses a near group. */
class NearTextsTest extends ApplicationTest {
  private static final String KEYWORDS =
      """
      keyword,volume
      how to smoke eel,900
      rye bread starter,800
      mend a fishing net,700
      """;
  private static final String PAGES =
      """
      url,title,published
      https://eels.example/smoking,Smoking eel at home,2024-02-06
      https://eels.example/home-smoked,Home smoked eel,2024-03-06
      https://eels.example/bread,A starter for rye bread,2024-04-06
      """;

  @Autowired private ImportService imports;
  @Autowired private InventoryIntake intake;
  @Autowired private PitchService pitches;
  @Autowired private NearTexts near;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void threeGroups() {
    site = emptySite();
    imports.importFile(site, "words.csv", KEYWORDS.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void groupsAndPitchesAreNearWhateverTheirWords() {
    pitches.pitch(site, "Repairing torn nets");
    ready();
    List<Near> found = near.to(site, "Fixing holes in your fishing nets", 0.43, 5);
    assertThat(found).extracting(Near::kind).containsExactlyInAnyOrder(Kind.GROUP, Kind.PITCH);
    assertThat(found).allSatisfy(n -> assertThat(n.near()).isBetween(0.43, 1.01));
    assertThat(near.groups(site, "Fixing holes in your fishing nets", 0.43, 5))
        .extracting(Near::name)
        .containsExactly("mend a fishing net");
    assertThat(near.to(site, "   ", 0.43, 5)).isEmpty();
  }

  @Test
  void whatIsTakenBackIsNearNoLonger() {
    pitches.pitch(site, "Repairing torn nets");
    ready();
    assertThat(near.to(site, "Repair torn nets", 0.6, 5)).hasSize(1);
    undo.undoLatest(site);
    ready();
    assertThat(near.to(site, "Repair torn nets", 0.6, 5)).isEmpty();
  }

  @Test
  void liveArticlesThatChaseTheSameThingAreRivalsUnlessTheyShareTheirGroup() {
    UUID id = intake.keep(site, "live.csv", PAGES.getBytes(StandardCharsets.UTF_8));
    intake.bringIn(site, id, true, java.time.LocalDate.of(2024, 1, 1));
    ready();
    assertThat(near.rivals(site, 0.55, 9))
        .singleElement()
        .satisfies(
            pair -> {
              assertThat(pair.near()).isGreaterThan(0.55);
              assertThat(List.of(pair.first().name(), pair.second().name()))
                  .containsExactlyInAnyOrder("Smoking eel at home", "Home smoked eel");
              assertThat(pair.first().reference()).isNotEmpty();
            });
    assertThat(near.live(site, "eel smoked at home", 0.43, 9))
        .extracting(Near::name)
        .containsExactlyInAnyOrder("Smoking eel at home", "Home smoked eel");
    assertThat(near.live(site, "eel smoked at home", 0.43, 1)).hasSize(1);
  }

  @Test
  void aChosenGroupThatHasAnArticleIsAskedFor() {
    long first = pitches.pitch(site, "Smoking eel at home").id();
    long second = pitches.pitch(site, "How do you smoke an eel").id();
    ready();
    long group = near.groups(site, "Smoking eel at home", 0.43, 1).get(0).groupId();
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    String base = "/" + site.site().slug() + "/pitches/";
    String form = person.get(base + first + "/commission").body();
    assertThat(form).contains("Keyword group it answers").contains("how to smoke eel");
    String type = form.replaceAll("(?s).*<select id=\"type\".*?<option value=\"(\\d+)\".*", "$1");
    String[] answers = {"title", "Eel", "type", type, "group", String.valueOf(group)};
    assertThat(person.post(base + first + "/commission", answers).statusCode()).isEqualTo(302);
    HttpResponse<String> refused = person.post(base + second + "/commission", answers);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("has an article already").contains("name=\"again\"");
    String[] again = {
      "title", "Eel again", "type", type, "group", String.valueOf(group), "again", "true"
    };
    assertThat(person.post(base + second + "/commission", again).statusCode()).isEqualTo(302);
  }

  private void ready() {
    near.prepare(site).join();
    near.prepare(site).join();
  }
}
