package osmerin.app.refresh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.PublishDates;
import osmerin.app.briefs.BriefEvidence;
import osmerin.app.briefs.BriefPage;
import osmerin.app.briefs.BriefPages;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.history.History;
import osmerin.app.history.UndoService;
import osmerin.app.plan.KeptMonths;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;

class RefreshServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private PublishService publishing;
  @Autowired private RefreshService refreshing;
  @Autowired private BriefService briefs;
  @Autowired private BriefPages pages;
  @Autowired private BriefEvidence behind;
  @Autowired private EvidenceService evidence;
  @Autowired private PublishDates dates;
  @Autowired private KeptMonths kept;
  @Autowired private UndoService undo;
  @Autowired private History history;
  private SiteContext site;
  private int number;

  @BeforeEach
  void publishOne() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round = articles.commission(site, new Commission("Of smelt", type, null, Map.of(), null));
    number = round.article().number();
    drafts.save(site, round, "# Of smelt\n\nThey come in March.", 0);
    toReady();
    publishing.publish(site, number, Wish.unattended(Optional.of(Instant.now()), ""));
  }

  @Test
  void openingARefreshIsUndoneAndDoneAgain() {
    LocalDate day = site.today().plusWeeks(4);
    Round opened = refreshing.begin(site, number, depth(), day);
    kept.keep(site.siteId(), YearMonth.from(day));
    assertThat(undo.undoLatest(site)).contains("Round 2");
    Round back = articles.get(site, number);
    assertThat(back.ordinal()).isEqualTo(1);
    assertThat(back.isLive()).isTrue();
    assertThat(articles.open(site)).isEmpty();
    assertThat(articles.page(site, number, null).rounds()).hasSize(1);
    undo.redoLatest(site);
    Round again = articles.get(site, number);
    assertThat(again.ordinal()).isEqualTo(2);
    assertThat(again.typeId()).isEqualTo(opened.typeId());
    assertThat(again.publishDate()).isEqualTo(day);
    assertThat(drafts.latest(again).orElseThrow().text()).contains("March");
    undo.undoLatest(site);
    assertThat(articles.get(site, number).isLive()).isTrue();
  }

  @Test
  void aRoundThatIsBeingWorkedOnStays() {
    Round opened = refreshing.begin(site, number, depth(), null);
    drafts.save(site, opened, "# Of smelt\n\nThey come in April.", 1);
    long opening = entryOfOpening();
    assertThatThrownBy(() -> undo.undo(site, opening))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("worked on");
    assertThat(articles.get(site, number).ordinal()).isEqualTo(2);
  }

  @Test
  void theCarriedOverBriefShowsWhatChangedInWhatRanksSinceTheRefreshWasOpened() {
    Round first = articles.get(site, number);
    assertThat(evidence.fetch(site, "smelt in march").pages()).isNotEmpty();
    Round opened = refreshing.begin(site, number, depth(), null);
    briefs.change(site, opened, now -> now.withPrimary("smelt in march"));
    BriefPage page = pages.of(site, opened);
    assertThat(page.isEvidenceOfBefore()).isTrue();
    assertThat(behind.since(site, page)).isEmpty();
    KeptEvidence fresh = evidence.fetch(site, "smelt in march");
    BriefPage later = pages.of(site, opened);
    assertThat(later.isEvidenceOfBefore()).isFalse();
    BriefEvidence.Since since = behind.since(site, later).orElseThrow();
    KeptEvidence before = since.before();
    assertThat(before.fetchedAt()).isBefore(opened.startedAt());
    assertThat(since.change()).isEqualTo(fresh.since(before));
    HttpPerson reader = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    assertThat(reader.get(site.base() + "/articles/" + opened.reference() + "/brief").body())
        .contains("Changed since", "The same pages, terms and headings.");
    // Fetched once more, it is still compared with what was known when the round was opened.
    evidence.fetch(site, "smelt in march");
    assertThat(behind.since(site, pages.of(site, opened)).orElseThrow().before().id())
        .isEqualTo(before.id());
    assertThat(behind.since(site, pages.of(site, first))).isEmpty();
  }

  @Test
  void aDateGivenSinceIsUndoneFirst() {
    refreshing.begin(site, number, depth(), null);
    long opening = entryOfOpening();
    dates.setPublishDate(site, number, null, site.today().plusWeeks(5), true);
    assertThatThrownBy(() -> undo.undo(site, opening)).isInstanceOf(RefusedException.class);
    undo.undoLatest(site);
    undo.undo(site, opening);
    assertThat(articles.get(site, number).ordinal()).isEqualTo(1);
  }

  private long entryOfOpening() {
    return history.entries(site, History.Asked.ALL, 0, 20).stream()
        .filter(e -> e.sentence().startsWith("Round 2"))
        .findFirst()
        .orElseThrow()
        .id();
  }

  private void toReady() {
    moveUntilSet(site, number);
  }

  private long depth() {
    return types.list(site.siteId(), Kind.REFRESH).get(0).id();
  }
}
