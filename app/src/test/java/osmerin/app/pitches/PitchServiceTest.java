package osmerin.app.pitches;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

class PitchServiceTest extends ApplicationTest {
  @Autowired private PitchService pitches;
  @Autowired private ArticleService articles;

  @Test
  void aPitchNeedsATitleOnly() {
    SiteContext site = emptySite();
    assertThat(pitches.pitch(site, "  A   bowl ").title()).isEqualTo("A bowl");
    assertThatThrownBy(() -> pitches.pitch(site, "  ")).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> pitches.pitch(site, "x".repeat(201))).hasMessageContaining("201");
    assertThat(pitches.countOpen(site)).isEqualTo(1);
    assertThat(pitches.open(site, 0, 10)).extracting(Pitch::pitchedBy).containsExactly("Una Berg");
  }

  @Test
  void aCommissionedPitchIsAnArticleAndOpenNoLonger() {
    SiteContext site = emptySite();
    Pitch pitch = pitches.pitch(site, "A bowl");
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Commission commission = new Commission(pitch.title(), type, null, Map.of(), null);
    Round round = pitches.commission(site, pitch.id(), commission);
    assertThat(round.title()).isEqualTo("A bowl");
    assertThat(pitches.countOpen(site)).isZero();
    assertThatThrownBy(() -> pitches.get(site, pitch.id())).isInstanceOf(NotFoundException.class);
    // The second of two who commission at once makes no second article.
    assertThatThrownBy(() -> pitches.commission(site, pitch.id(), commission))
        .isInstanceOf(RefusedException.class);
    assertThat(articles.tally(site.siteId()).inWork()).isEqualTo(1);
  }

  @Test
  void nobodySeesThePitchesOfAnotherSite() {
    Pitch pitch = pitches.pitch(emptySite(), "A secret");
    assertThatThrownBy(() -> pitches.get(emptySite(), pitch.id()))
        .isInstanceOf(NotFoundException.class);
  }
}
