package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.pitches.PitchService;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** What waits for somebody is decided with keys alone, without going back to the list. */
class OneByOneTest extends BrowserTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private DraftService drafts;
  @Autowired private PitchService pitches;

  private Round ordered(String title) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.EDITOR, site.personId());
    return articles.commission(site, new Commission(title, post, null, people, null));
  }

  @Test
  void aBriefADraftAndAPitchAreDecidedOneAfterAnother() {
    Round brief = ordered("Eels at night");
    briefs.change(site, brief, now -> now);
    Round draft = ordered("Elvers");
    drafts.save(site, draft, "# Elvers\n\nThey **climb** the weir.", 0);
    stageMoves.move(site, 2, stage(site, "Editing"), stage(site, "Commissioned"), true);
    pitches.pitch(site, "Eel pie");
    browser.open(base + "/desk");
    browser.waitForText("main", "one by one");
    browser.key("w");
    browser.waitForText("h1", "Eels at night");
    browser.waitForText("main", "1 of 3");
    browser.key("j");
    browser.waitForText("h1", "Elvers");
    browser.waitForText(".one-paper", "They climb the weir.");
    browser.key("k");
    browser.waitForText("h1", "Eels at night");
    browser.key("y");
    browser.waitForText("h1", "Elvers");
    browser.waitForText("#foot", "is signed off");
    browser.waitForText("main", "1 of 2");
    browser.key("n");
    browser.waitForText("h1", "Eel pie");
    assertThat(articles.get(site, 2).stage().label()).isEqualTo("Drafting");
    browser.key("n");
    browser.waitForText("main", "Nothing waits for you");
    assertThat(pitches.countOpen(site)).isZero();
  }

  @Test
  void commissioningAPitchLeadsToTheNextOne() {
    pitches.pitch(site, "Eel pie");
    pitches.pitch(site, "Smoked eel");
    browser.open(base + "/desk/one-by-one");
    browser.waitForText("h1", "Smoked eel");
    browser.key("y");
    browser.waitFor(() -> browser.path().contains("/commission"));
    browser.click("main form button.btn-primary");
    browser.waitForText("h1", "Eel pie");
    browser.waitForText("main", "1 of 1");
    assertThat(articles.get(site, 1).title()).isEqualTo("Smoked eel");
  }

  @Test
  void whatIsRefusedSaysSoAndStays() {
    Round draft = ordered("Elvers");
    stageMoves.move(site, 1, stage(site, "Editing"), stage(site, "Commissioned"), true);
    browser.open(base + "/desk/one-by-one?at=7");
    browser.waitForText("h1", "Elvers");
    browser.key("y");
    browser.waitForText("main", draft.reference() + " is missing something for Ready");
    browser.press("Move to Ready anyway");
    browser.waitForText("main", "Nothing waits for you");
    assertThat(articles.get(site, 1).stage().label()).isEqualTo("Ready");
  }
}
