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
    templates.remove(stranger, id);
    assertThat(templates.of(site, elvers)).hasSize(2);
    templates.remove(site, id);
    assertThat(templates.of(site, elvers)).hasSize(1);
  }
}
