package osmerin.app.links;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.types.UsualEdits;
import osmerin.core.article.Kind;

class LinkEditsTest extends ApplicationTest {
  @Autowired private LinkEdits links;
  @Autowired private ArticleService articles;
  @Autowired private UsualEdits usual;
  @Autowired private UndoService undo;
  private SiteContext site;
  private long type;

  @BeforeEach
  void anArticle() {
    site = emptySite();
    type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
  }

  private Iterable<NamedLink> shown() {
    return links.of(articles.get(site, 1));
  }

  @Test
  void aTypeNamesThemAnArticleFillsThemInAndHasOthers() {
    usual.setLinkNames(site, type, " Interview notes \n\nDesign file\nDesign file");
    links.set(site, 1, "Design file", "", "https://draw.example/eels");
    links.set(site, 1, "A map", "", "https://map.example/");
    assertThat(shown())
        .containsExactly(
            new NamedLink("Interview notes", null),
            new NamedLink("Design file", "https://draw.example/eels"),
            new NamedLink("A map", "https://map.example/"));
    undo.undoLatest(site);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(shown()).isEmpty();
  }

  @Test
  void changingAndTakingAwayAreUndoneOneByOne() {
    links.set(site, 1, "A map", "", "https://map.example/1");
    links.set(site, 1, "A map", "https://map.example/1", "https://map.example/2");
    links.set(site, 1, "A map", "https://map.example/2", "");
    assertThat(shown()).isEmpty();
    undo.undoLatest(site);
    assertThat(shown()).containsExactly(new NamedLink("A map", "https://map.example/2"));
    undo.undoLatest(site);
    assertThat(shown()).containsExactly(new NamedLink("A map", "https://map.example/1"));
  }

  @Test
  void nobodyWritesOverWhatSomebodyElseJustSet() {
    links.set(site, 1, "A map", "", "https://map.example/1");
    assertThatThrownBy(() -> links.set(site, 1, "A map", "", "https://map.example/2"))
        .isInstanceOfSatisfying(
            ConflictException.class,
            conflict -> assertThat(conflict.theirs()).isEqualTo("https://map.example/1"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"javascript:alert(1)", "ftp://x.example/", "map.example", "https://"})
  void onlyAddressesOfPagesAreTaken(String address) {
    assertThatThrownBy(() -> links.set(site, 1, "A map", "", address))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("is not the address of a page");
  }

  @Test
  void namesAndRightsAreLookedAt() {
    assertThatThrownBy(() -> links.set(site, 1, " ", "", "https://map.example/"))
        .hasMessageContaining("Give the link a name");
    SiteContext wim = join(site.site(), "Wim Aal", Role.WRITER);
    assertThatThrownBy(() -> links.set(wim, 1, "A map", "", "https://map.example/"))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> usual.setLinkNames(wim, type, "A map"))
        .isInstanceOf(ForbiddenException.class);
  }
}
