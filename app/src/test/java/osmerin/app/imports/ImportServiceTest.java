package osmerin.app.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.grouping.FullRunService;
import osmerin.app.grouping.RunPreview;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupPages;
import osmerin.app.groups.MemberRow;
import osmerin.app.imports.ImportReports.Finished;
import osmerin.app.keywords.KeywordLedger;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.core.keyword.Volume;
import osmerin.formats.text.UnreadableFileException;

class ImportServiceTest extends ApplicationTest {
  private static final String FILE =
      """
      keyword,volume,difficulty,urls
      sourdough starter,900,20,a.example/1 a.example/2 a.example/3 a.example/4
      starter for sourdough,900,21,
      feeding a starter,300,-,a.example/1 a.example/2 a.example/3 a.example/5
      rye bread,400,30,b.example/1 b.example/2 b.example/3
      crumb,lots,10,
      """;

  @Autowired private ImportService imports;
  @Autowired private ImportReports reports;
  @Autowired private Uploads uploads;
  @Autowired private TopicService topicService;
  @Autowired private SiteKeywords siteKeywords;
  @Autowired private GroupPages pages;
  @Autowired private KeywordLedger ledger;
  @Autowired private FullRunService runs;
  @Autowired private osmerin.app.history.UndoService undo;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void reportsNewAndRejectedRowsAndGroupsTheRest() {
    Finished first = bring(FILE);
    assertThat(first.row().read()).isEqualTo(5);
    assertThat(first.row().added()).isEqualTo(5);
    assertThat(first.row().rejected()).isZero();
    assertThat(first.dropped()).isEqualTo(1);
    assertThat(first.problems()).extracting(p -> p.line()).containsExactly(6L);
    assertThat(first.totals())
        .extracting(t -> t.reason(), t -> t.rows())
        .containsExactly(org.assertj.core.groups.Tuple.tuple("Search volume is not a number", 1));
    TopicService.Overview overview = topicService.overview(site);
    assertThat(overview.counts().keywords()).isEqualTo(5);
    assertThat(overview.counts().groups()).isEqualTo(3);
    Group bread = overview.next().get(0);
    assertThat(bread.row().name()).isEqualTo("sourdough starter");
    // The two variants have one figure, so it counts once.
    assertThat(bread.row().searches()).isEqualTo(1200);
    List<MemberRow> members =
        pages.page(site, bread.row().id()).members().stream().map(GroupPages.Member::row).toList();
    assertThat(members).extracting(MemberRow::basis).containsExactly("PRIMARY", "VARIANT", "PAGES");
    assertThat(members.get(2).sharedWithPrimary()).isEqualTo(3);
  }

  @Test
  void theSameFileAgainChangesNothing() {
    bring(FILE);
    Map<Long, Set<String>> before = groups();
    Finished again = bring(FILE);
    assertThat(again.row().added()).isZero();
    assertThat(again.row().changed()).isZero();
    assertThat(again.row().unchanged()).isEqualTo(5);
    assertThat(groups()).isEqualTo(before);
  }

  @Test
  void newerFiguresWinAndNoFigureOverwritesNone() {
    bring(FILE);
    Finished newer = bring("keyword,volume,difficulty\nRye  Bread,450,-\nspelt bread,40,9\n");
    assertThat(newer.row().changed()).isEqualTo(1);
    assertThat(newer.row().added()).isEqualTo(1);
    assertThat(siteKeywords.all(site.siteId()))
        .filteredOn(k -> k.keyword().text().equals("rye bread"))
        .singleElement()
        .satisfies(
            k -> {
              assertThat(k.keyword().volume()).isEqualTo(Volume.exactly(450));
              assertThat(k.keyword().difficulty()).isEqualTo(30);
              assertThat(k.keyword().pages()).hasSize(3);
            });
  }

  @Test
  void laterImportsMoveNothingThatIsGrouped() {
    bring(FILE);
    Map<Long, Set<String>> before = groups();
    bring(
        "keyword,volume,urls\nwhole grain rye bread,90,b.example/1 b.example/2 b.example/3\n"
            + "starter smells,5000,a.example/1 a.example/2 a.example/3 a.example/4\n");
    Map<Long, Set<String>> after = groups();
    before.forEach((id, members) -> assertThat(after.get(id)).containsAll(members));
    assertThat(after).hasSameSizeAs(before);
  }

  @Test
  void ownPositionsAreKeptShownAndGoWithTheImport() throws java.io.IOException {
    bring(FILE);
    Finished own =
        bring(
            "keyword,position,url\nrye bread,4,https://bakery.example/rye\n"
                + "sourdough starter,12,https://bakery.example/starter\n"
                + "crumb,x,https://www.bakery.example/starter/\n");
    assertThat(own.own()).isEqualTo(3);
    assertThat(own.ownPages()).isEqualTo(2);
    assertThat(bring("keyword,position\nrye bread,5\ncrumb,9\n").ownPages()).isZero();
    undo.undoLatest(site);
    assertThat(own.dropped()).isEqualTo(1);
    assertThat(reports.ownPages(site, own.row().id()))
        .extracting(Object::toString)
        .containsExactly("bakery.example/rye", "bakery.example/starter");
    long rye = id("rye bread");
    assertThat(ledger.single(site, rye).row().ownPosition()).isEqualTo(4);
    assertThat(ledger.single(site, rye).row().pages()).isEqualTo(3);
    java.io.StringWriter out = new java.io.StringWriter();
    reports.writeProblems(site, own.row().id(), out);
    assertThat(out.toString())
        .contains("4,crumb,Own position is not a position (1 or more),x,value dropped");
    undo.undoLatest(site);
    assertThat(ledger.single(site, rye).row().ownPosition()).isNull();
  }

  private long id(String text) {
    return siteKeywords.all(site.siteId()).stream()
        .filter(k -> k.keyword().text().equals(text))
        .findFirst()
        .orElseThrow()
        .id();
  }

  @Test
  void rangesAreSummedAtBothEnds() {
    bring(
        "keyword,volume,difficulty,urls\nrye bread,1K-10K,20,a.example/1 a.example/2 a.example/3\n"
            + "bake rye,100,20,a.example/1 a.example/2 a.example/3\n"
            + "rye bread rolls,,,a.example/4 a.example/5 a.example/6 a.example/7 a.example/8\n");
    Group group = topicService.overview(site).next().get(0);
    assertThat(group.row().volume()).isEqualTo(new Volume(3262, 1100, 10_100));
    assertThat(group.worth().visitsSpan().high())
        .isGreaterThan(9 * group.worth().visitsSpan().low());
    assertThat(topicService.overview(site).topics().get(0).volume().high()).isEqualTo(10_100);
  }

  @Test
  void aFullRunAfterTheSameImportMovesNothing() throws Exception {
    java.nio.file.Path sample =
        java.nio.file.Path.of("..", "docs", "samples", "marlpit-keywords.csv");
    imports.importFile(site, "sample.csv", java.nio.file.Files.readAllBytes(sample));
    RunPreview preview = runs.preview(site, 3, osmerin.core.group.GroupingSettings.Mode.LOOSE, 43);
    assertThat(preview.moves()).isEmpty();
    assertThat(preview.groups())
        .isEqualTo(preview.now())
        .isEqualTo((int) topicService.overview(site).counts().groups());
  }

  @Test
  void aFileWithoutKeywordsStoresNothing() {
    assertThatThrownBy(() -> bring("date,clicks\n2026-01-01,4\n"))
        .isInstanceOf(UnreadableFileException.class);
    assertThatThrownBy(() -> uploads.keep(site, "x.csv", new byte[] {(byte) 0x89, 'P', 'N', 'G'}))
        .isInstanceOf(UnreadableFileException.class);
    assertThat(topicService.overview(site).counts().keywords()).isZero();
    assertThat(reports.imports(site, 0, 9)).isEmpty();
  }

  @Test
  void fiftyThousandRowsInOneFile() {
    StringBuilder file = new StringBuilder("keyword;volume;urls\n");
    for (int i = 0; i < 50_000; i++) {
      int group = i / 10;
      file.append("phrase ")
          .append(Integer.toString(i, 36))
          .append("x of ")
          .append(Integer.toString(group, 36))
          .append("q;")
          .append(i % 977)
          .append(';');
      for (int page = 0; page < 8; page++) {
        file.append("s").append(group).append(".example/").append((page + i % 3) % 10).append(' ');
      }
      file.append('\n');
    }
    Finished done = bring(file.toString());
    assertThat(done.row().added()).isEqualTo(50_000);
    assertThat(topicService.overview(site).counts().groups()).isEqualTo(5_000);
  }

  private Finished bring(String file) {
    return reports.finished(
        site, imports.importFile(site, "file.csv", file.getBytes(StandardCharsets.UTF_8)));
  }

  private Map<Long, Set<String>> groups() {
    return siteKeywords.all(site.siteId()).stream()
        .collect(
            Collectors.groupingBy(
                KnownKeyword::groupId,
                Collectors.mapping(k -> k.keyword().text(), Collectors.toSet())));
  }
}
