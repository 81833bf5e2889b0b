package osmerin.app.keywords;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.exclusions.Exclusions;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.keywords.KeywordEdits.What;
import osmerin.app.keywords.KeywordMapper.KeywordRow;
import osmerin.app.keywords.KeywordMapper.VariantRow;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.app.views.Ledger;
import osmerin.app.views.View;
import osmerin.app.views.Views;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.ExcludeList.Kind;

/** Changing several keywords at once, the exclude list, variants, views, and figures by import. */
class KeywordEditsTest extends ApplicationTest {
  private static final String FILE =
      """
      keyword,volume,difficulty,urls
      eel trap,900,20,t.example/1 t.example/2 t.example/3
      eel traps,90,20,t.example/1 t.example/2 t.example/3
      traps for eel,,20,
      eel jobs,300,30,t.example/1 t.example/2 t.example/3
      rye bread,400,30,b.example/1 b.example/2 b.example/3
      jobs in a bakery,200,30,b.example/1 b.example/2 b.example/3
      """;

  @Autowired private ImportService imports;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private KeywordLedger ledger;
  @Autowired private KeywordEdits edits;
  @Autowired private Views views;
  @Autowired private Exclusions exclusions;
  @Autowired private GroupLists groupLists;
  @Autowired private TopicService topicService;
  @Autowired private History history;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void sixKeywords() {
    site = emptySite();
    bring(FILE);
  }

  private long bring(String file) {
    return imports.importFile(site, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void whatIsExcludedIsInNoGroupAlsoWhenItComesAgain() {
    assertThat(exclusions.add(site, Kind.WORDS, " Jobs ")).isEqualTo(2);
    assertThat(texts())
        .containsExactlyInAnyOrder("eel trap", "eel traps", "traps for eel", "rye bread");
    assertThat(texts("excluded", "yes")).containsExactlyInAnyOrder("eel jobs", "jobs in a bakery");
    long again = bring(FILE + "night jobs,70,,\n");
    assertThat(texts("excluded", "yes")).hasSize(3);
    assertThat(
            jdbc.queryForObject(
                "select excluded from keyword_import where id = ?", Integer.class, again))
        .isEqualTo(1);
    assertThat(topicService.overview(site).counts().waiting()).isZero();
    assertThat(topicService.overview(site).counts().keywords()).isEqualTo(4);
  }

  @Test
  void offTheListKeywordsComeBackAndFindTheirGroup() {
    exclusions.add(site, Kind.WORDS, "jobs");
    exclusions.add(site, Kind.KEYWORD, "eel jobs");
    bring("keyword,volume,urls\nrye jobs,70,b.example/1 b.example/2 b.example/3\n");
    long words =
        jdbc.queryForObject(
            "select id from exclusion where site_id = ? and kind = 'WORDS'",
            Long.class,
            site.siteId());
    assertThat(exclusions.remove(site, words)).isEqualTo(2);
    assertThat(texts("excluded", "yes")).containsExactly("eel jobs");
    assertThat(row("rye jobs").groupName()).isEqualTo("rye bread");
    assertThat(row("jobs in a bakery").groupName()).isEqualTo("rye bread");
  }

  @Test
  void excludingCanBeTakenBackAndDoneAgain() {
    exclusions.add(site, Kind.WORDS, "jobs");
    undo.undoLatest(site);
    assertThat(exclusions.count(site)).isZero();
    assertThat(row("eel jobs").groupName()).isEqualTo("eel trap");
    undo.undo(site, history.entries(site, Asked.ALL, 0, 1).get(0).id());
    assertThat(exclusions.count(site)).isEqualTo(1);
    assertThat(texts("excluded", "yes")).hasSize(2);
  }

  @Test
  void nonsenseIsNotExcludedAndNothingTwice() {
    assertThatThrownBy(() -> exclusions.add(site, Kind.WORDS, "  "))
        .isInstanceOf(RefusedException.class);
    exclusions.add(site, Kind.WORDS, "no keyword has this");
    assertThatThrownBy(() -> exclusions.add(site, Kind.WORDS, "No keyword has this"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("already");
    assertThatThrownBy(() -> exclusions.remove(emptySite(), 1))
        .isInstanceOf(NotFoundException.class);
  }

  @Test
  void markedKeywordsAreExcludedEachByItself() {
    edits.change(site, List.of(row("eel jobs").id()), What.EXCLUDE, null);
    assertThat(texts("excluded", "yes")).containsExactly("eel jobs");
    assertThat(exclusions.list(site, 0, 9).get(0).kind()).isEqualTo(Kind.KEYWORD);
  }

  @Test
  void thousandsAreExcludedAtOnceAndComeBackWithOneUndo() {
    StringBuilder many = new StringBuilder("keyword,volume,urls\n");
    for (int i = 0; i < 9_000; i++) {
      many.append("thing ").append(Integer.toString(i + 2_000, 36)).append(",5,");
      for (int page = 0; page < 5; page++) {
        many.append("g").append(i / 10).append(".example/").append(page).append(' ');
      }
      many.append('\n');
    }
    bring(many.toString());
    List<Long> ids = edits.matching(site, KeywordLedgerTest.filter(Map.of("starts", "thing")));
    edits.change(site, ids, What.EXCLUDE, null);
    assertThat(ledger.page(site, KeywordLedgerTest.filter(Map.of())).all()).isEqualTo(6);
    assertThat(exclusions.count(site)).isEqualTo(9_000);
    undo.undoLatest(site);
    assertThat(ledger.page(site, KeywordLedgerTest.filter(Map.of())).all()).isEqualTo(9_006);
    assertThat(exclusions.count(site)).isZero();
  }

  @Test
  void aListThatChangedSinceIsNotPutBack() {
    exclusions.add(site, Kind.WORDS, "jobs");
    long first = history.entries(site, Asked.ALL, 0, 1).get(0).id();
    exclusions.remove(site, exclusions.list(site, 0, 1).get(0).id());
    assertThatThrownBy(() -> undo.undo(site, first)).isInstanceOf(RefusedException.class);
  }

  @Test
  void allThatMatchAreMovedAtOnce() {
    List<Long> ids = edits.matching(site, KeywordLedgerTest.filter(Map.of("q", "jobs")));
    assertThat(edits.change(site, ids, What.MOVE, "Rye bread")).contains("2 keywords moved");
    assertThat(row("eel jobs").groupName()).isEqualTo("rye bread");
  }

  @Test
  void whatWaitsFindsItsGroup() {
    List<Long> ids = List.of(row("eel jobs").id(), row("rye bread").id());
    edits.change(site, ids, What.TAKE_OUT, null);
    assertThat(texts("group", "none")).containsExactlyInAnyOrder("eel jobs", "rye bread");
    assertThat(edits.change(site, ids, What.PLACE, null)).isEqualTo("2 keywords found a group.");
    assertThat(row("eel jobs").groupName()).isEqualTo("eel trap");
    undo.undoLatest(site);
    assertThat(texts("group", "none")).hasSize(2);
    assertThatThrownBy(() -> edits.change(site, List.of(row("eel trap").id()), What.PLACE, null))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("waits");
  }

  @Test
  void anIntentThatAPersonSetStandsAgainstLaterImportsAndMovesItsGroup() {
    long eel = row("eel trap").id();
    edits.change(site, List.of(eel), What.INTENT, "TRANSACTIONAL");
    bring("keyword,volume,intent\neel trap,950,informational\n");
    assertThat(row("eel trap").intent()).isEqualTo(SearchIntent.TRANSACTIONAL);
    assertThat(group("eel trap")).isEqualTo(SearchIntent.TRANSACTIONAL);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(group("eel trap")).isEqualTo(SearchIntent.INFORMATIONAL);
    assertThatThrownBy(() -> edits.change(site, List.of(eel), What.INTENT, "whatever"))
        .isInstanceOf(RefusedException.class);
  }

  private SearchIntent group(String name) {
    return groupLists.ofTopic(site, null).stream().map(Group::row).toList().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow()
        .intent();
  }

  @Test
  void closeVariantsFoldUnderTheOneWithMostSearches() {
    KeywordLedger.Page folded = ledger.page(site, KeywordLedgerTest.filter(Map.of("q", "trap")));
    assertThat(folded.all()).isEqualTo(3);
    assertThat(folded.folded()).isEqualTo(2);
    assertThat(folded.rows()).hasSize(1);
    assertThat(folded.rows().get(0).variants())
        .extracting(VariantRow::text)
        .containsExactly("eel traps", "traps for eel");
    bring("keyword,volume\ntraps for eel,5000\n");
    assertThat(ledger.page(site, KeywordLedgerTest.filter(Map.of("q", "trap"))).rows().get(0))
        .satisfies(row -> assertThat(row.keyword().text()).isEqualTo("traps for eel"));
    undo.undoLatest(site);
    assertThat(ledger.page(site, KeywordLedgerTest.filter(Map.of("q", "trap"))).rows().get(0))
        .satisfies(row -> assertThat(row.keyword().text()).isEqualTo("eel trap"));
  }

  @Test
  void closeVariantsOfOneVolumeStandAsInTheirGroup() {
    bring("keyword,volume\ngudgeon rod,90\na rod for gudgeon,10\nrods gudgeon,10\n");
    assertThat(ledger.page(site, KeywordLedgerTest.filter(Map.of("q", "gudgeon"))).rows())
        .singleElement()
        .satisfies(
            row ->
                assertThat(row.variants())
                    .extracting(VariantRow::text)
                    .containsExactly("rods gudgeon", "a rod for gudgeon"));
  }

  @Test
  void aViewIsKeptUnderItsNameAndOneOpensFirst() {
    views.save(site, Ledger.KEYWORDS, "Easy", "difficultyTo=20", true);
    views.save(site, Ledger.KEYWORDS, "Big", "volumeFrom=500", true);
    views.save(site, Ledger.KEYWORDS, "Easy", "difficultyTo=25", false);
    assertThat(views.list(site, Ledger.KEYWORDS))
        .extracting(View::name)
        .containsExactly("Big", "Easy");
    assertThat(views.first(site, Ledger.KEYWORDS))
        .hasValueSatisfying(v -> assertThat(v.name()).isEqualTo("Big"));
    assertThat(views.list(site, Ledger.KEYWORDS).get(1).query()).isEqualTo("difficultyTo=25");
    for (String query : List.of("q={x}", "q=a b", "q=a#b", "q=" + "x".repeat(2_000))) {
      assertThatThrownBy(() -> views.save(site, Ledger.KEYWORDS, "Odd", query, true))
          .isInstanceOf(RefusedException.class);
    }
    assertThatThrownBy(() -> views.save(site, Ledger.KEYWORDS, " ", "", false))
        .isInstanceOf(RefusedException.class);
    views.delete(site, Ledger.KEYWORDS, views.list(site, Ledger.KEYWORDS).get(0).id());
    assertThat(views.first(site, Ledger.KEYWORDS)).isEmpty();
    SiteContext other = emptySite();
    long easy = views.list(site, Ledger.KEYWORDS).get(0).id();
    assertThatThrownBy(() -> views.delete(other, Ledger.KEYWORDS, easy))
        .isInstanceOf(NotFoundException.class);
  }

  @Test
  void whoHasAsManyViewsAsCanBeStillChangesThem() {
    for (int i = 1; i <= 30; i++) {
      views.save(site, Ledger.KEYWORDS, "View " + i, "volumeFrom=" + i, false);
    }
    assertThatThrownBy(() -> views.save(site, Ledger.KEYWORDS, "One more", "q=eel", false))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("30 views");
    views.save(site, Ledger.KEYWORDS, "View 7", "q=trap", true);
    assertThat(views.list(site, Ledger.KEYWORDS)).hasSize(30);
    assertThat(views.first(site, Ledger.KEYWORDS))
        .hasValueSatisfying(v -> assertThat(v.query()).isEqualTo("q=trap"));
  }

  private KeywordRow row(String text) {
    return rows("fold", "no").stream()
        .filter(r -> r.text().equals(text))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no keyword " + text));
  }

  private List<String> texts(String... asked) {
    return rows(asked).stream().map(KeywordRow::text).toList();
  }

  private List<KeywordRow> rows(String... asked) {
    Map<String, String> filters = new HashMap<>(Map.of("fold", "no"));
    for (int i = 0; i + 1 < asked.length; i += 2) {
      filters.put(asked[i], asked[i + 1]);
    }
    return ledger.page(site, KeywordLedgerTest.filter(filters)).rows().stream()
        .map(KeywordLedger.Row::keyword)
        .toList();
  }
}
