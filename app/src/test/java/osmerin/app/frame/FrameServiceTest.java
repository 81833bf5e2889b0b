package osmerin.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.frame.Frame.Area;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

/** What stands around a page is worked out once for each state of the site. */
class FrameServiceTest extends ApplicationTest {
  @Autowired private FrameService frames;
  @Autowired private ImportService imports;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void isKeptWhileNothingChanges() {
    assertThat(frames.frame(site, null).tideline()).isSameAs(frames.frame(site, null).tideline());
  }

  @Test
  void followsEveryChangeAndItsUndo() {
    assertThat(count(site, "research")).isEqualTo("0 open");
    imports.importFile(site, "eels.csv", "keyword\neel trap\n".getBytes(StandardCharsets.UTF_8));
    assertThat(count(site, "research")).isEqualTo("1 open");
    undo.undoLatest(site);
    assertThat(count(site, "research")).isEqualTo("0 open");
  }

  @Test
  void turnsWithTheDayOfTheSite() {
    SiteContext nextMonth =
        new SiteContext(site.site(), site.person(), site.role(), site.today().plusMonths(1));
    assertThat(frames.frame(nextMonth, null).tideline().month().month())
        .isNotEqualTo(frames.frame(site, null).tideline().month().month());
  }

  @Test
  void isTheSitesOwn() {
    SiteContext other = emptySite();
    imports.importFile(other, "eels.csv", "keyword\neel trap\n".getBytes(StandardCharsets.UTF_8));
    assertThat(count(site, "research")).isEqualTo("0 open");
    assertThat(frames.frame(other, null).areas())
        .allMatch(area -> area.path().startsWith(other.base()));
  }

  private String count(SiteContext of, String area) {
    return frames.frame(of, null).areas().stream()
        .filter(a -> a.key().equals(area))
        .map(Area::count)
        .findFirst()
        .orElseThrow();
  }
}
