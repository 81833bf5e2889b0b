package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService.Saved;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.groups.GroupService;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

class BriefServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private EvidenceService evidence;
  @Autowired private BriefEvidence behind;
  @Autowired private ImportService imports;
  @Autowired private GroupService groups;
  @Autowired private UndoService undo;
  private SiteContext site;
  private Round round;

  @BeforeEach
  void commission() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
  }

  @Test
  void everyFieldComesBackAsItWasSaved() {
    Brief brief = brief("Night fishers", 0);
    assertThat(briefs.save(site, round, brief)).isInstanceOf(Saved.Done.class);
    Brief stored = briefs.get(site, round);
    assertThat(stored)
        .usingRecursiveComparison()
        .ignoringFields("version", "changedBy", "changedAt")
        .isEqualTo(brief);
    assertThat(stored.version()).isEqualTo(1);
    assertThat(stored.changedBy()).isEqualTo("Una Berg");
  }

  @Test
  void theLaterOfTwoIsToldWhatTheOtherChangedAndNothingIsOverwritten() {
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    briefs.save(site, round, brief("Beginners", 0));
    briefs.save(other, round, brief("Night fishers", 1));
    Saved late = briefs.save(site, round, brief("Children", 1));
    assertThat(late).isInstanceOf(Saved.Conflict.class);
    Saved.Conflict conflict = (Saved.Conflict) late;
    assertThat(conflict.theirs().changedBy()).isEqualTo("Per Holm");
    assertThat(conflict.differences())
        .containsExactly(new BriefService.Difference("Reader", "Night fishers", "Children"));
    assertThat(briefs.get(site, round).reader()).isEqualTo("Night fishers");
    assertThat(briefs.save(site, round, brief("Children", conflict.theirs().version())))
        .isInstanceOf(Saved.Done.class);
  }

  @Test
  void signingOffTicksItsStepAndMovesTheStageAndIsUndoneAsOne() {
    briefs.save(site, round, brief("Night fishers", 0));
    briefs.signOff(site, round, 1);
    assertThat(stage()).isEqualTo("Briefed");
    assertThat(doneSteps()).containsExactly("Write the brief");
    assertThat(briefs.get(site, round).isSignedOff()).isTrue();
    undo.undoLatest(site);
    assertThat(stage()).isEqualTo("Commissioned");
    assertThat(doneSteps()).isEmpty();
    assertThat(briefs.get(site, round).signOff()).isEmpty();
    undo.redoLatest(site);
    assertThat(stage()).isEqualTo("Briefed");
    assertThat(doneSteps()).containsExactly("Write the brief");
    assertThat(briefs.get(site, round).isSignedOff()).isTrue();
  }

  @Test
  void aBriefSignedOffAgainLaterMovesNothingBack() {
    briefs.save(site, round, brief("Night fishers", 0));
    briefs.signOff(site, round, 1);
    stageMoves.move(
        site, round.article().number(), stage(site, "Drafting"), stage(site, "Briefed"), true);
    round = articles.get(site, round.article().number());
    briefs.save(site, round, brief("Children", 1));
    briefs.signOff(site, round, 2);
    assertThat(stage()).isEqualTo("Drafting");
    undo.undoLatest(site);
    assertThat(briefs.get(site, round).signOff().orElseThrow().version()).isEqualTo(1);
    assertThat(briefs.get(site, round).isSignedOff()).isFalse();
    assertThat(stage()).isEqualTo("Drafting");
  }

  private String stage() {
    return articles.get(site, round.article().number()).stage().label();
  }

  private List<String> doneSteps() {
    return articles.page(site, round.article().number(), null).planned().steps().stream()
        .filter(step -> step.doneOn() != null)
        .map(StepRow::name)
        .toList();
  }

  @Test
  void twoFirstSavesAreAConflictToo() {
    briefs.save(site, round, brief("Beginners", 0));
    assertThat(briefs.save(site, round, brief("Children", 0))).isInstanceOf(Saved.Conflict.class);
  }

  @Test
  void evidenceIsDrawnOverHttpAndMarkedSimulated() {
    KeptEvidence kept = evidence.fetch(site, "catching eels at night");
    assertThat(kept.simulated()).isTrue();
    assertThat(kept.evidence().pages()).hasSize(10);
    assertThat(kept.evidence().length()).isPresent();
    assertThat(kept.evidence().terms()).isNotEmpty();
    assertThat(evidence.find(site, "  Catching Eels at NIGHT ")).isPresent();
    assertThat(evidence.find(emptySite(), "catching eels at night")).isEmpty();
  }

  @Test
  void evidenceOfABriefIsThatOfItsGroupElseOfItsKeyword() {
    Brief saved = brief("Beginners", 0);
    assertThat(behind.of(site, round, saved)).isEmpty();
    evidence.fetch(site, saved.primaryKeyword());
    assertThat(behind.of(site, round, saved).orElseThrow().phrase())
        .isEqualTo(saved.primaryKeyword());
    imports.importFile(
        site, "hens.csv", "keyword,volume\nchicken coop,90\n".getBytes(StandardCharsets.UTF_8));
    long group = groups.named(site, "chicken coop");
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round other = articles.commission(site, new Commission("Hens", type, group, Map.of(), null));
    assertThat(behind.of(site, other, saved).orElseThrow().phrase())
        .isEqualTo(saved.primaryKeyword());
    evidence.fetch(site, "chicken coop");
    assertThat(behind.of(site, other, saved).orElseThrow().phrase()).isEqualTo("chicken coop");
  }

  private Brief brief(String reader, int version) {
    return new Brief(
        round.id(),
        "Eels, at night",
        "catching eels",
        List.of("eel trap", "eel \"rigs\", {curly}"),
        reader,
        "Ours is about the tide.",
        Optional.of(new WordRange(800, 1000, 1200)),
        new Outline(
            List.of(
                new Outline.Section("Why at night", 0, "moon"),
                new Outline.Section("Rigs", 1, ""))),
        "Line one\nline two",
        version,
        null,
        null,
        Optional.empty());
  }
}
