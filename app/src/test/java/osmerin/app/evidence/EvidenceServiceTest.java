package osmerin.app.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.evidence.SearchService.SearchFailedException;
import osmerin.app.groups.GroupLists;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.evidence.EvidenceChange;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.RankingPage;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;

class EvidenceServiceTest extends ApplicationTest {
  private static final String HONEY =
      "<h2>Why does honey set?</h2><p>A strong hive gives fifteen kilos of honey in a good"
          + " summer.</p>";
  private static final String HARVEST =
      "<h2>How to harvest</h2><p>In a good summer a strong hive gives about fifteen kilos of"
          + " honey.</p>";

  @Autowired private EvidenceMapper mapper;
  @Autowired private EvidenceDrawing drawing;
  @Autowired private EvidenceService evidence;
  @Autowired private ImportService imports;
  @Autowired private GroupService groups;
  @Autowired private GroupLists groupLists;
  @Autowired private TransactionTemplate transaction;
  @Autowired private ApplicationEventPublisher events;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;

  @BeforeEach
  void anEmptySite() {
    site = emptySite();
  }

  private static ReadPage page(String name, String body) {
    return PageReader.read(
        "https://" + name + ".example/",
        "<title>Page "
            + name
            + "</title><nav><a href=/>Home and shop</a></nav><main>"
            + body
            + "</main>");
  }

  /** Pages p0, p1 … with these bodies; none is found without any. */
  private EvidenceService asking(String... bodies) {
    List<ReadPage> read = new ArrayList<>();
    for (int i = 0; i < bodies.length; i++) {
      read.add(page("p" + i, bodies[i]));
    }
    return asking(read, List.of());
  }

  private EvidenceService asking(List<ReadPage> pages, List<String> missing) {
    SearchService search =
        new SearchService() {
          @Override
          public boolean isConnected() {
            return true;
          }

          @Override
          public Found search(String phrase) {
            if (pages.isEmpty()) {
              throw new SearchFailedException("It is down.");
            }
            return new Found(false, null, pages, missing);
          }
        };
    return new EvidenceService(mapper, drawing, search, transaction, events, Clock.systemUTC());
  }

  @Test
  void kindsQuestionsHeadingsAndPointsAreKept() {
    KeptEvidence kept =
        asking(HONEY, HARVEST + "<p>€ 8.50 <button>Add to basket</button> Add to basket</p>")
            .fetch(site, "honey");
    assertThat(kept.say().questions()).containsExactly("Why does honey set?");
    assertThat(kept.say().points())
        .singleElement()
        .satisfies(
            point ->
                assertThat(point.sources())
                    .extracting(PagesSay.Source::page)
                    .containsExactly("https://p0.example/", "https://p1.example/"));
    assertThat(kept.pages())
        .extracting(page -> page.kind().kind())
        .containsExactly(PageKind.DEFINITION, PageKind.SHOP);
    assertThat(kept.kindWords()).isEqualTo("1 definition, 1 shop");
    assertThat(kept.areArticlesFew()).isFalse();
    assertThat(evidence.find(site, "honey")).contains(kept);
    assertThat(evidence.find(site, "  HONEY ")).contains(kept);
    assertThat(evidence.find(emptySite(), "honey")).isEmpty();
  }

  @Test
  void evidenceOfBeforeSaysNothingOfItUntilItIsFetchedAgain() {
    EvidenceService asked = asking("<p>Bees fly out at ten degrees and not below that.</p>");
    asked.fetch(site, "bees");
    jdbc.update("update evidence set say = null where site_id = ?", site.siteId());
    jdbc.update(
        "update evidence_page set kind = null where evidence_id in"
            + " (select id from evidence where site_id = ?)",
        site.siteId());
    KeptEvidence before = evidence.find(site, "bees").orElseThrow();
    assertThat(before.say()).isEqualTo(PagesSay.NOTHING);
    assertThat(before.kindWords()).isEmpty();
    assertThat(before.areArticlesFew()).isFalse();
    assertThat(asked.fetch(site, "bees").kindWords()).isEqualTo("1 definition");
  }

  @Test
  void fetchingAgainKeepsTheEarlierOneAndSaysWhatChanged() {
    KeptEvidence first =
        asking(List.of(page("old", HONEY), page("both", HARVEST)), List.of()).fetch(site, "honey");
    KeptEvidence second =
        asking(
                List.of(
                    page("both", HARVEST),
                    page("new", HONEY + "<p>Wax melts at sixty-three degrees.</p>")),
                List.of())
            .fetch(site, "honey");
    assertThat(evidence.find(site, "honey")).contains(second);
    assertThat(evidence.earlier(site, second))
        .extracting(EvidenceService.Earlier::id)
        .containsExactly(first.id());
    assertThat(evidence.get(site, first.id())).isEqualTo(first);
    EvidenceChange change = second.since(first);
    assertThat(change.newPages())
        .extracting(RankingPage::address)
        .containsExactly("https://new.example/");
    assertThat(change.gonePages())
        .extracting(RankingPage::address)
        .containsExactly("https://old.example/");
  }

  /** Met when a group was pitched and commissioned at once. */
  @Test
  void fourAtOnceLeaveOneThatIsTheLatest() throws Exception {
    EvidenceService asked = asking(HONEY, HARVEST);
    ExecutorService people = Executors.newFixedThreadPool(4);
    try {
      List<Future<KeptEvidence>> fetched = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        fetched.add(people.submit(() -> asked.fetch(site, "honey")));
      }
      for (Future<KeptEvidence> one : fetched) {
        assertThat(one.get().pages()).hasSize(2);
      }
    } finally {
      people.shutdownNow();
    }
    assertThat(evidence.earlier(site, evidence.find(site, "honey").orElseThrow())).hasSize(3);
  }

  @Test
  void aServiceThatFailsLeavesWhatWasKnown() {
    KeptEvidence known = asking(HONEY).fetch(site, "honey");
    assertThatThrownBy(() -> asking().fetch(site, "honey"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("It is down");
    assertThat(evidence.find(site, "honey")).contains(known);
    assertThat(evidence.earlier(site, known)).isEmpty();
  }

  @Test
  void whatCouldNotBeReadIsSaid() {
    KeptEvidence kept =
        asking(List.of(page("a", HONEY)), List.of("“https://b.example/” was not read: too slow."))
            .fetch(site, "honey");
    assertThat(kept.missing()).containsExactly("“https://b.example/” was not read: too slow.");
  }

  @Test
  void aPageLeftOutChangesEverythingDrawnAtOnceAndComesBack() {
    KeptEvidence all =
        asking(HONEY, HARVEST, HARVEST + "<p>Filter it twice through cloth.</p>")
            .fetch(site, "honey");
    KeptEvidence fewer = evidence.leaveOut(site, all.id(), 1, true);
    assertThat(fewer.pages()).hasSize(3);
    assertThat(fewer.counted()).hasSize(2);
    assertThat(fewer.evidence().pages()).hasSize(2);
    assertThat(fewer.say().questions()).isEmpty();
    KeptEvidence again = evidence.leaveOut(site, all.id(), 1, false);
    assertThat(again.say()).isEqualTo(all.say());
    assertThat(again.evidence()).isEqualTo(all.evidence());
  }

  @Test
  void aBlockPutInByHandCountsAndStaysSoWhenItIsFetchedAgain() {
    EvidenceService asked = asking(HONEY, HARVEST);
    KeptEvidence kept = asked.fetch(site, "honey");
    int words = kept.pages().get(0).read().keptWords();
    assertThat(kept.pages().get(0).read().blocks().get(0).leftOut()).isEqualTo("menu");
    KeptEvidence put = evidence.put(site, kept.id(), 1, 0, true);
    assertThat(put.pages().get(0).read().keptWords()).isEqualTo(words + 3);
    KeptEvidence again = asked.fetch(site, "honey");
    assertThat(again.pages().get(0).read().keptWords()).isEqualTo(words + 3);
    KeptEvidence out = evidence.put(site, again.id(), 1, 0, false);
    assertThat(out.pages().get(0).read().blocks().get(0).byHand()).isNull();
    assertThatThrownBy(() -> evidence.put(site, again.id(), 1, 99, true))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> evidence.put(site, kept.id(), 1, 0, true))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("fetched again");
  }

  @Test
  void pagesThatAPersonBroughtOutliveFetching() {
    KeptEvidence brought =
        evidence.add(site, "honey", PageOrigin.FILE, List.of(page("mine", HONEY)));
    assertThat(brought.pages()).hasSize(1);
    KeptEvidence fetched = asking(HARVEST).fetch(site, "honey");
    assertThat(fetched.pages())
        .extracting(KeptPage::origin)
        .containsExactly(PageOrigin.SEARCH, PageOrigin.FILE);
    assertThatThrownBy(
            () -> evidence.add(site, "honey", PageOrigin.FILE, List.of(page("mine", HONEY))))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("already");
    assertThatThrownBy(() -> evidence.remove(site, fetched.id(), 1))
        .isInstanceOf(NotFoundException.class);
    assertThat(evidence.remove(site, fetched.id(), 2).pages()).hasSize(1);
  }

  @Test
  void aGroupHasTheEvidenceOfItsPrimaryKeywordElseOfTheLatestOther() {
    imports.importFile(
        site,
        "bees.csv",
        "keyword,volume,urls\nhoney,900,a.example/1 a.example/2 a.example/3\nhoney jar,100,a.example/1 a.example/2 a.example/3\n"
            .getBytes(StandardCharsets.UTF_8));
    long group = groupLists.ofTopic(site, null).get(0).row().id();
    assertThat(evidence.ofGroup(site, group)).isEmpty();
    asking(HARVEST).fetch(site, "honey jar");
    assertThat(evidence.ofGroup(site, group).orElseThrow().phrase()).isEqualTo("honey jar");
    asking(HONEY).fetch(site, "honey");
    asking(HONEY).fetch(site, "honey jar");
    assertThat(evidence.ofGroup(site, group).orElseThrow().phrase()).isEqualTo("honey");
    assertThat(groups.group(site, group).row().wordTarget()).isNotNull();
    assertThat(evidence.find(site, "honey jar").orElseThrow().phrase()).isEqualTo("honey jar");
    assertThat(evidence.ofGroup(emptySite(), group)).isEmpty();
  }
}
