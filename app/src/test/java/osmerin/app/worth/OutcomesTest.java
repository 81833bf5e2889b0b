package osmerin.app.worth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.grouping.GroupEdits;
import osmerin.app.groups.GroupService;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.live.InventoryIntake;
import osmerin.app.live.LiveMatching;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.group.Demand;
import osmerin.core.worth.Calibration;
import osmerin.core.worth.Outcome;

class OutcomesTest extends ApplicationTest {
  private static final String[] THINGS = {
    "rye bread crust", "eel smoking oven", "willow basket", "harbour crane", "tulip bulbs",
    "canal locks", "cheese wax", "wooden shoes", "dyke mending", "windmill sails"
  };
  private static final String[] WAYS = {"repair", "prices", "history", "storage"};

  @Autowired private GroupService groupService;
  @Autowired private ImportService imports;
  @Autowired private InventoryIntake intake;
  @Autowired private LiveMatching matching;
  @Autowired private GroupEdits groups;
  @Autowired private Outcomes outcomes;
  @Autowired private StrengthService siteStrength;
  @Autowired private UndoService undo;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  private static String name(int i) {
    return THINGS[i % 10] + " " + WAYS[i / 10];
  }

  /** Keywords of rising difficulty; the page of each of the first stands third, others nowhere. */
  private String keywords(int ranking) {
    StringBuilder file = new StringBuilder("keyword,volume,difficulty,urls\n");
    for (int i = 0; i < 40; i++) {
      String third = i < ranking ? "eels.example/own" + i : "g" + i + ".example/c";
      file.append(
          "%1$s,100,%2$d,g%3$d.example/a g%3$d.example/b %4$s g%3$d.example/d g%3$d.example/e%n"
              .formatted(name(i), 2 * i, i, third));
    }
    return file.toString();
  }

  private void importFile(String text) {
    imports.importFile(site, "keywords.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  private void bringIn(LocalDate liveOn) {
    StringBuilder pages = new StringBuilder("url,title,published\n");
    for (int i = 0; i < 40; i++) {
      pages.append("https://eels.example/own%d,%s,%s%n".formatted(i, name(i), liveOn));
    }
    UUID id = intake.keep(site, "own.csv", pages.toString().getBytes(StandardCharsets.UTF_8));
    intake.bringIn(site, id, true, LocalDate.of(2024, 1, 1));
  }

  @Test
  void theGroupThatTheTitleTellsDecidesWhetherOrNotItRanks() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(8));
    List<Outcome> known = outcomes.of(site);
    assertThat(known).hasSize(40);
    assertThat(known).filteredOn(Outcome::reached).hasSize(12).allMatch(o -> o.difficulty() < 24);
  }

  @Test
  void whatIsTooYoungOrWasJudgedTooLateIsNotKnown() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(5));
    assertThat(outcomes.of(site)).isEmpty();
    jdbc.update(
        "update round set live_on = ? where article_id in (select id from article where site_id = ?)",
        site.today().minusMonths(13),
        site.siteId());
    assertThat(outcomes.of(site)).isEmpty();
  }

  @Test
  void rankingsOfAnEarlierImportStandForTheFirstYear() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(18));
    jdbc.update(
        "update keyword_import set at = at - interval '9 months' where site_id = ?", site.siteId());
    assertThat(outcomes.of(site)).filteredOn(Outcome::reached).hasSize(12);
    importFile(keywords(30));
    assertThat(outcomes.of(site)).filteredOn(Outcome::reached).hasSize(12);
  }

  @Test
  void aFileWithoutRankingPagesTellsNothingNew() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(11));
    jdbc.update(
        "update keyword_import set at = at - interval '6 months' where site_id = ?", site.siteId());
    importFile("keyword,volume\n" + name(3) + ",900\n");
    assertThat(outcomes.of(site)).isEmpty();
  }

  @Test
  void aGroupThatAPersonSaidSinceIsNoneTheTitleTellsUnlessTheyAgree() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(8));
    matching.correct(site, 1, groupService.named(site, name(7)));
    matching.correct(site, 2, null);
    matching.correct(site, 3, groupService.named(site, name(2)));
    assertThat(outcomes.of(site)).extracting(Outcome::article).hasSize(38).doesNotContain(1, 2);
    undo.undoLatest(site);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(outcomes.of(site)).hasSize(40);
  }

  /** Confirming what ranks once chose the group by which it was then judged. */
  @Test
  void confirmingWhatRanksChangesNoOutcome() {
    importFile(keywords(12).replace(name(0) + ",100,0", name(39) + " quay,100,0"));
    bringIn(site.today().minusMonths(8));
    List<Outcome> before = outcomes.of(site);
    matching.confirm(site, IntStream.rangeClosed(1, 40).boxed().toList());
    assertThat(outcomes.of(site)).isEqualTo(before);
  }

  @Test
  void ownPositionsInAFileTellThePlaceOfThePageTheyName() {
    StringBuilder file = new StringBuilder("keyword,volume,difficulty,position,url\n");
    for (int i = 0; i < 40; i++) {
      int other = i == 5 ? 6 : i;
      file.append(
          "%s,100,%d,%d,https://eels.example/own%d%n"
              .formatted(name(i), 2 * i, i < 15 ? 4 : 18, other));
    }
    importFile(file.toString());
    bringIn(site.today().minusMonths(8));
    assertThat(outcomes.of(site)).filteredOn(Outcome::reached).hasSize(14);
    Outcomes.Proposal proposal = outcomes.proposal(site).orElseThrow();
    assertThat(proposal.fromFiles()).isTrue();
    assertThat(proposal.found().onPageOne()).isEqualTo(15);
    assertThat(proposal.found().strength()).isBetween(24, 32);
    siteStrength.setStrength(site, proposal.found().strength());
    assertThat(siteStrength.get(site).assumed()).isFalse();
    undo.undoLatest(site);
    assertThat(siteStrength.get(site).assumed()).isTrue();
  }

  @Test
  void withoutPositionsInFilesTheLiveArticlesTellTheStrength() {
    assertThat(outcomes.proposal(site)).isEmpty();
    importFile(keywords(20));
    assertThat(outcomes.proposal(site)).isEmpty();
    bringIn(site.today().minusYears(3));
    Outcomes.Proposal proposal = outcomes.proposal(site).orElseThrow();
    assertThat(proposal.fromFiles()).isFalse();
    assertThat(proposal.found().strength()).isBetween(35, 43);
  }

  @Test
  void learnedChancesWeighUntilOthersAreLearnedOrTheyAreTakenBack() {
    importFile(keywords(12));
    bringIn(site.today().minusMonths(8));
    Calibration calibration = siteStrength.calibration(site);
    assertThat(calibration.reached()).isEqualTo(12);
    double before = chance();
    siteStrength.useLearned(site, true);
    assertThat(siteStrength.get(site).site().chances()).isEqualTo(calibration.learned().chances());
    assertThat(chance()).isNotEqualTo(before);
    double learned = chance();
    siteStrength.setStrength(site, 80);
    assertThat(chance()).isEqualTo(learned);
    importFile(keywords(30));
    assertThat(chance()).isEqualTo(learned);
    siteStrength.useLearned(site, true);
    assertThat(chance()).isGreaterThan(learned);
    undo.undoLatest(site);
    assertThat(chance()).isEqualTo(learned);
    siteStrength.useLearned(site, false);
    assertThat(siteStrength.get(site).learned()).isFalse();
  }

  private double chance() {
    return siteStrength.get(site).worth(Demand.exactly(100L, false, 50.0), null).chance();
  }

  @Test
  void withoutOutcomesNothingIsLearned() {
    assertThatThrownBy(() -> siteStrength.useLearned(site, true))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("30");
  }
}
