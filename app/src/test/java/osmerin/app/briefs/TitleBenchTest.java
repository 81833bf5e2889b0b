package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

class TitleBenchTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private TitleBench bench;
  @Autowired private UndoService undo;
  private SiteContext site;
  private Round round;

  @BeforeEach
  void commission() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    briefs.change(site, round, now -> now.withPrimary("eels at night"));
  }

  @Test
  void aPatternIsKeptForgottenAndEitherIsUndone() {
    String pattern = bench.keepPattern(site, round, "Why eels at night bite");
    assertThat(bench.patterns(site)).containsExactly(pattern);
    // Kept already: nothing happens, so there is nothing to undo of it.
    bench.keepPattern(site, round, "Why eels at night bite");
    undo.undoLatest(site);
    assertThat(bench.patterns(site)).isEmpty();
    undo.redoLatest(site);
    bench.forgetPattern(site, pattern);
    assertThat(bench.patterns(site)).isEmpty();
    undo.undoLatest(site);
    assertThat(bench.patterns(site)).containsExactly(pattern);
    SiteContext writer = join(site.site(), "Wyn Tor", Role.WRITER);
    assertThatThrownBy(() -> bench.forgetPattern(writer, pattern))
        .isInstanceOf(RuntimeException.class);
    assertThatThrownBy(() -> bench.keepPattern(site, round, "No such words"))
        .hasMessageContaining("eels at night");
  }

  @Test
  void oneIsPickedAndTheOthersAreKept() {
    bench.add(site, round, "  Why eels   bite ");
    bench.add(site, round, "Night fishing for eels");
    bench.pick(site, round, "Night fishing for eels");
    assertThat(briefs.get(site, round).workingTitle()).isEqualTo("Night fishing for eels");
    assertThat(briefs.get(site, round).content().titles())
        .containsExactlyInAnyOrder("Eels", "Why eels bite");
    bench.remove(site, round, "Why eels bite");
    assertThat(briefs.get(site, round).content().titles()).containsExactly("Eels");
    assertThatThrownBy(() -> bench.add(site, round, " ")).hasMessageContaining("1 to 300");
  }
}
