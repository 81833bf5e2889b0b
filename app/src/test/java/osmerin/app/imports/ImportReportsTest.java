package osmerin.app.imports;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportMapper.FigureChange;
import osmerin.app.imports.ImportMapper.ImportRow;
import osmerin.app.keywords.KeywordLedger;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

/** What an import changed, as its report says. */
class ImportReportsTest extends ApplicationTest {
  @Autowired private ImportService imports;
  @Autowired private ImportReports reports;
  @Autowired private KeywordLedger ledger;
  @Autowired private SiteKeywords keywords;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void eelsAndBread() {
    site = emptySite();
    bring(
        """
        keyword,volume,difficulty,urls
        eel trap,900,20,t.example/1 t.example/2 t.example/3
        rye bread,400,30,b.example/1 b.example/2 b.example/3
        """);
  }

  private long bring(String file) {
    return imports.importFile(site, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  private KnownKeyword eelTrap() {
    return keywords.all(site.siteId()).stream()
        .filter(k -> k.keyword().text().equals("eel trap"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aLaterImportKeepsTheEarlierFigureAndSaysWhatChanged() {
    long second = bring("keyword,volume,difficulty\neel trap,1200,25\nrye bread,400,30\n");
    long third = bring("keyword,volume\neel trap,1100\n");
    assertThat(reports.figureChanges(site, second, 0, 9))
        .containsExactly(
            new FigureChange(
                eelTrap().id(), "eel trap", eelTrap().groupId(), 900L, 1_200L, 20, 25, 3, 3));
    assertThat(reports.countFigureChanges(third)).isEqualTo(1);
    assertThat(ledger.single(site, eelTrap().id()).volumes())
        .extracting("volume")
        .containsExactly(900L, 1_200L, 1_100L);
    undo.undoLatest(site);
    assertThat(ledger.single(site, eelTrap().id()).volumes())
        .extracting("volume")
        .containsExactly(900L, 1_200L);
    assertThat(reports.imports(site, 0, 2))
        .extracting(ImportRow::id)
        .containsExactly(third, second);
  }
}
