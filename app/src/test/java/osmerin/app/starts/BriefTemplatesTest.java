package osmerin.app.starts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.history.History;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;

class BriefTemplatesTest extends ApplicationTest {
  @Autowired private BriefTemplates templates;
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private UndoService undo;
  @Autowired private History history;
  private SiteContext site;
  private Round eels;
  private Round elvers;

  @BeforeEach
  void twoArticles() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    eels = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    elvers = articles.commission(site, new Commission("Elvers", type, null, Map.of(), null));
    briefs.change(
        site,
        eels,
        now ->
            now.withPrimary("eels at night")
                .withText(BriefPart.READER, "Anglers")
                .withText(BriefPart.ANGLE, "The tide")
                .withOutline(new Outline(List.of(new Outline.Section("Why", 0, "moon")))));
  }

  @Test
  void aTemplateFillsWhatIsEmptyAndLeavesWhatSomebodyWrote() {
    templates.keep(site, eels, "Night fishing", true);
    briefs.change(site, elvers, now -> now.withText(BriefPart.READER, "Children"));
    templates.start(site, elvers, templates.of(site, elvers).get(0).id());
    BriefContent now = briefs.get(site, elvers).content();
    assertThat(now.text(BriefPart.READER)).isEqualTo("Children");
    assertThat(now.text(BriefPart.ANGLE)).isEqualTo("The tide");
    assertThat(now.outline().sections())
        .extracting(Outline.Section::heading)
        .containsExactly("Why");
    assertThat(now.primaryKeyword()).isEmpty();
    assertThat(now.workingTitle()).isEqualTo("Elvers");
  }

  @Test
  void aBriefStartsFromAnotherOneOfItsSite() {
    templates.startFrom(site, elvers, eels.article().number());
    assertThat(briefs.get(site, elvers).text(BriefPart.ANGLE)).isEqualTo("The tide");
    assertThatThrownBy(() -> templates.startFrom(site, elvers, 999))
        .isInstanceOf(NotFoundException.class);
  }

  @Test
  void templatesAreOfTheirSiteAndTypeAndHaveANameOfTheirOwn() {
    templates.keep(site, eels, "Night fishing", true);
    templates.keep(site, eels, "Any article", false);
    assertThatThrownBy(() -> templates.keep(site, eels, "Any article", true))
        .hasMessageContaining("already");
    assertThatThrownBy(() -> templates.keep(site, eels, " ", true)).hasMessageContaining("a name");
    assertThat(templates.of(site, elvers))
        .extracting(BriefTemplates.Shown::name)
        .containsExactly("Night fishing", "Any article");
    long id = templates.of(site, elvers).get(0).id();
    SiteContext stranger = emptySite();
    assertThatThrownBy(() -> templates.remove(stranger, id)).isInstanceOf(NotFoundException.class);
    assertThat(templates.of(site, elvers)).hasSize(2);
    templates.remove(site, id);
    assertThat(templates.of(site, elvers)).hasSize(1);
  }

  @Test
  void keepingAndRemovingATemplateIsUndone() {
    templates.keep(site, eels, "Night fishing", true);
    undo.undoLatest(site);
    assertThat(templates.of(site, eels)).isEmpty();
    undo.redoLatest(site);
    long id = templates.of(site, eels).get(0).id();
    templates.remove(site, id);
    undo.undoLatest(site);
    assertThat(templates.of(site, elvers))
        .singleElement()
        .satisfies(
            back -> {
              assertThat(back.name()).isEqualTo("Night fishing");
              assertThat(back.ofType()).isTrue();
              assertThat(back.content().text(BriefPart.ANGLE)).isEqualTo("The tide");
            });
    templates.remove(site, templates.of(site, eels).get(0).id());
    long removal = history.entries(site, History.Asked.ALL, 0, 1).get(0).id();
    templates.keep(site, elvers, "Night fishing", false);
    templates.keep(site, elvers, "Day fishing", false);
    assertThatThrownBy(() -> undo.undo(site, removal)).hasMessageContaining("Night fishing");
  }
}
