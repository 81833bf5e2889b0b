package osmerin.app.brand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefBeside;
import osmerin.app.briefs.BriefPages;
import osmerin.app.briefs.BriefService;
import osmerin.app.handout.BriefDocument;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefPart;

class BrandSheetsTest extends ApplicationTest {
  @Autowired private BrandSheets sheets;
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private BriefPages pages;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void aSite() {
    site = emptySite();
  }

  @Test
  void twoPeopleChangeDifferentPartsAndNeitherIsLostAndEachIsUndone() {
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    sheets.change(site, Map.of(), Map.of(BrandPart.VOICE, "Plain."));
    sheets.change(other, Map.of(), Map.of(BrandPart.DO, "Name figures."));
    assertThat(sheets.get(site).voice()).isEqualTo("Plain.\nDo: Name figures.");
    assertThatThrownBy(() -> sheets.change(other, Map.of(), Map.of(BrandPart.VOICE, "Loud.")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Plain.");
    undo.undoLatest(other);
    undo.undoLatest(site);
    assertThat(sheets.get(site).texts()).isEmpty();
    assertThat(sheets.get(emptySite()).texts()).isEmpty();
  }

  @Test
  void aBriefThatSaysNothingElseFollowsTheSheet() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    sheets.change(site, Map.of(), Map.of(BrandPart.VOICE, "Plain."));
    assertThat(BriefDocument.of(pages.of(site, round)).more()).isEmpty();
    briefs.change(site, round, now -> now.withParts(Optional.of(Set.of(BriefPart.VOICE))));
    assertThat(BriefDocument.of(pages.of(site, round)).more())
        .containsExactly(new BriefDocument.Part("Voice and products", "Plain."));
    assertThat(BriefBeside.of(pages.of(site, round)).lacks())
        .noneMatch(lack -> lack.part() == BriefPart.VOICE);
    briefs.change(site, round, now -> now.withText(BriefPart.VOICE, "Loud, for once."));
    assertThat(BriefDocument.of(pages.of(site, round)).more())
        .containsExactly(new BriefDocument.Part("Voice and products", "Loud, for once."));
  }

  @Test
  void thePurposeStandsWhereMonthsAndPitchesAreDecided() {
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    person.get(site.base() + "/setup/brand");
    person.post(site.base() + "/setup/brand", "texts[PURPOSE]", "Eels for <everybody>.");
    for (String page : new String[] {"/pitches", "/plan/2026-12"}) {
      assertThat(person.get(site.base() + page).body()).contains("Eels for &lt;everybody&gt;.");
    }
    String tooLong = "x".repeat(5_001);
    assertThat(person.post(site.base() + "/setup/brand", "texts[VOICE]", tooLong).body())
        .contains("more than 5,000 characters", tooLong);
  }
}
