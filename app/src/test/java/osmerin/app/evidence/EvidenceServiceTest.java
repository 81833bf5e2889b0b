package osmerin.app.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;

class EvidenceServiceTest extends ApplicationTest {
  @Autowired private EvidenceMapper mapper;
  @Autowired private EvidenceService evidence;
  @Autowired private TransactionTemplate transaction;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;

  @BeforeEach
  void anEmptySite() {
    site = emptySite();
  }

  private EvidenceService asking(String... bodies) {
    SearchService pages =
        new SearchService() {
          @Override
          public boolean isConnected() {
            return true;
          }

          @Override
          public Found search(String phrase) {
            List<ReadPage> read = new ArrayList<>();
            for (int i = 0; i < bodies.length; i++) {
              read.add(
                  PageReader.read(
                      "https://p" + i + ".example/",
                      "<title>Page " + i + "</title><main>" + bodies[i] + "</main>"));
            }
            return new Found(false, read);
          }
        };
    return new EvidenceService(mapper, pages, transaction, Clock.systemUTC());
  }

  @Test
  void kindsQuestionsHeadingsAndPointsAreKept() {
    EvidenceService.Kept kept =
        asking(
                "<h1>Hives</h1><h2>Why does honey set?</h2><p>A strong hive gives fifteen kilos of"
                    + " honey in a good summer.</p>",
                "<h2>How to harvest</h2><p>In a good summer a strong hive gives about fifteen kilos"
                    + " of honey.</p><p>€ 8.50 <button>Add to basket</button> Add to basket</p>")
            .fetch(site, "honey");
    assertThat(kept.say().questions()).containsExactly("Why does honey set?");
    assertThat(kept.say().points())
        .singleElement()
        .satisfies(
            point ->
                assertThat(point.sources())
                    .extracting(PagesSay.Source::page)
                    .containsExactly("https://p0.example/", "https://p1.example/"));
    assertThat(kept.kinds())
        .extracting(PageKind.Read::kind)
        .containsExactly(PageKind.DEFINITION, PageKind.SHOP);
    assertThat(kept.kindWords()).isEqualTo("1 definition, 1 shop");
    assertThat(kept.areArticlesFew()).isFalse();
    assertThat(evidence.find(site, "honey")).contains(kept);
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
    EvidenceService.Kept before = evidence.find(site, "bees").orElseThrow();
    assertThat(before.say()).isEqualTo(PagesSay.NOTHING);
    assertThat(before.kinds()).isEmpty();
    assertThat(before.kindWords()).isEmpty();
    assertThat(before.areArticlesFew()).isFalse();
    assertThat(asked.fetch(site, "bees").kinds()).hasSize(1);
  }
}
