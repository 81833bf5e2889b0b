package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService.Saved;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.groups.GroupService;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.types.UsualEdits;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

class BriefServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private SignOffs signOffs;
  @Autowired private UsualEdits usual;
  @Autowired private PlatformTransactionManager transactions;
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
    BriefContent brief = brief("Night fishers");
    assertThat(briefs.save(site, round, brief, 0)).isInstanceOf(Saved.Done.class);
    Brief stored = briefs.get(site, round);
    assertThat(stored.content()).isEqualTo(brief);
    assertThat(stored.version()).isEqualTo(1);
    assertThat(stored.changedBy()).isEqualTo("Una Berg");
  }

  @Test
  void theLaterOfTwoIsToldWhatTheOtherChangedAndNothingIsOverwritten() {
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    briefs.save(site, round, brief("Beginners"), 0);
    briefs.save(other, round, brief("Night fishers"), 1);
    Saved late = briefs.save(site, round, brief("Children"), 1);
    assertThat(late).isInstanceOf(Saved.Conflict.class);
    Saved.Conflict conflict = (Saved.Conflict) late;
    assertThat(conflict.theirs().changedBy()).isEqualTo("Per Holm");
    assertThat(conflict.differences())
        .containsExactly(new BriefDifference("Reader", "Night fishers", "Children"));
    assertThat(briefs.get(site, round).text(BriefPart.READER)).isEqualTo("Night fishers");
    assertThat(briefs.save(site, round, brief("Children"), conflict.theirs().version()))
        .isInstanceOf(Saved.Done.class);
  }

  @Test
  void signingOffTicksItsStepAndMovesTheStageAndIsUndoneAsOne() {
    briefs.save(site, round, brief("Night fishers"), 0);
    signOffs.signOff(site, round, 1);
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
    briefs.save(site, round, brief("Night fishers"), 0);
    signOffs.signOff(site, round, 1);
    stageMoves.move(
        site, round.article().number(), stage(site, "Drafting"), stage(site, "Briefed"), true);
    round = articles.get(site, round.article().number());
    briefs.save(site, round, brief("Children"), 1);
    signOffs.signOff(site, round, 2);
    assertThat(stage()).isEqualTo("Drafting");
    undo.undoLatest(site);
    assertThat(briefs.get(site, round).signOff().orElseThrow().version()).isEqualTo(1);
    assertThat(briefs.get(site, round).isSignedOff()).isFalse();
    assertThat(stage()).isEqualTo("Drafting");
  }

  @Test
  void fieldsAreSavedOneByOneWhateverOthersDoToTheRest() {
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    briefs.save(site, round, brief("Beginners"), 0);
    assertThat(briefs.save(site, round, "Reader", "Beginners", "Night fishers"))
        .isInstanceOf(Saved.Done.class);
    assertThat(briefs.save(other, round, "Angle", "Ours is about the tide.", "Ours is the moon."))
        .isInstanceOf(Saved.Done.class);
    BriefContent now = briefs.get(site, round).content();
    assertThat(now.text(BriefPart.READER)).isEqualTo("Night fishers");
    assertThat(now.text(BriefPart.ANGLE)).isEqualTo("Ours is the moon.");
    Saved late = briefs.save(other, round, "Reader", "Beginners", "Children");
    assertThat(late).isInstanceOf(Saved.Conflict.class);
    assertThat(briefs.get(site, round).text(BriefPart.READER)).isEqualTo("Night fishers");
    undo.undoLatest(other);
    assertThat(briefs.get(site, round).text(BriefPart.ANGLE)).isEqualTo("Ours is about the tide.");
  }

  @Test
  void whoeverSavesFirstIsNeverTurnedAwayByOthersWhoDoToo() {
    List<BriefPart> parts =
        Arrays.stream(BriefPart.values()).filter(BriefPart::isWritten).limit(8).toList();
    List<CompletableFuture<Saved>> saves =
        parts.stream()
            .map(
                part ->
                    CompletableFuture.supplyAsync(
                        () -> briefs.save(site, round, part.label(), "", "Of " + part)))
            .toList();
    assertThat(saves).allSatisfy(save -> assertThat(save.join()).isInstanceOf(Saved.Done.class));
    BriefContent now = briefs.get(site, round).content();
    assertThat(parts).allSatisfy(part -> assertThat(now.text(part)).isEqualTo("Of " + part));
    assertThat(briefs.get(site, round).version()).isEqualTo(parts.size());
  }

  @Test
  void whatWasReadBeforeTheLockIsReadAgainUnderIt() {
    briefs.save(site, round, brief("Beginners"), 0);
    new TransactionTemplate(transactions)
        .executeWithoutResult(
            status -> {
              briefs.get(site, round);
              CompletableFuture.runAsync(
                      () -> briefs.save(site, round, "Reader", "Beginners", "Children"))
                  .join();
              briefs.change(site, round, now -> now.withText(BriefPart.ANGLE, "The moon."));
            });
    BriefContent now = briefs.get(site, round).content();
    assertThat(now.text(BriefPart.READER)).isEqualTo("Children");
    assertThat(now.text(BriefPart.ANGLE)).isEqualTo("The moon.");
  }

  @Test
  void twoPeopleInOneOutlineKeepTheirSections() {
    briefs.save(site, round, brief("Beginners"), 0);
    String seen = BriefField.get("Outline").sent(briefs.get(site, round).content());
    briefs.save(site, round, "Outline", seen, seen.replace("Why at night", "Why by night"));
    assertThat(briefs.save(site, round, "Outline", seen, seen.replace("Rigs", "Rigs that hold")))
        .isInstanceOf(Saved.Done.class);
    assertThat(briefs.get(site, round).outline().sections())
        .extracting(Outline.Section::heading)
        .containsExactly("Why by night", "Rigs that hold");
    assertThat(briefs.save(site, round, "Outline", seen, seen.replace("Rigs", "Hooks")))
        .isInstanceOf(Saved.Conflict.class);
  }

  @Test
  void anotherLengthKeepsTheSharesOfTheSections() {
    briefs.save(site, round, brief("Beginners"), 0);
    briefs.save(site, round, "Words", "800 1200", "1,600 2,400");
    assertThat(briefs.get(site, round).outline().words()).isEqualTo(2_000);
    undo.undoLatest(site);
    assertThat(briefs.get(site, round).outline().words()).isEqualTo(240);
  }

  @Test
  void whatIsTooMuchOrUnreadableIsRefusedWithWhere() {
    briefs.save(site, round, brief("Beginners"), 0);
    assertThatThrownBy(() -> briefs.save(site, round, "Reader", "Beginners", "x".repeat(10_001)))
        .hasMessageContaining("“Reader”")
        .hasMessageContaining("10,000");
    assertThatThrownBy(() -> briefs.save(site, round, "Words", "800 1200", "many 9"))
        .hasMessageContaining("whole numbers");
    String seen = BriefField.get("Outline").sent(briefs.get(site, round).content());
    for (String wrong :
        List.of(
            "[{]",
            "null",
            "[null]",
            "{}",
            "[{\"heading\": null, \"depth\": 0}]",
            "[{\"heading\": \"a\\u0000b\", \"depth\": 0}]",
            "[{\"heading\": \"a\\ud800\", \"depth\": 0}]",
            "[{\"heading\": \"a\", \"depth\": 7}]",
            "[{\"heading\": \"a\", \"depth\": 0, \"words\": -5}]",
            "[{\"id\": \"" + "x".repeat(41) + "\", \"heading\": \"a\", \"depth\": 0}]")) {
      assertThatThrownBy(() -> briefs.save(site, round, "Outline", seen, wrong))
          .as(wrong)
          .isInstanceOf(RefusedException.class);
    }
    briefs.save(site, round, "Outline", seen, "[{\"heading\": \"a\", \"depth\": 0}]");
    assertThat(briefs.get(site, round).outline().sections().get(0).note()).isEmpty();
  }

  @Test
  void aRefusedBriefOpensItsStepAgainTellsWhoWroteItAndIsUndoneAsOne() {
    SiteContext editor = join(site.site(), "Per Holm", Role.EDITOR);
    briefs.save(site, round, brief("Beginners"), 0);
    signOffs.signOff(editor, round, 1);
    assertThat(doneSteps()).containsExactly("Write the brief");
    signOffs.refuse(editor, round, "The angle is everybody's.");
    Brief refused = briefs.get(site, round);
    assertThat(refused.refusal().orElseThrow().what()).isEqualTo("The angle is everybody's.");
    assertThat(refused.isSignedOff()).isFalse();
    assertThat(doneSteps()).isEmpty();
    undo.undoLatest(editor);
    assertThat(briefs.get(site, round).isSignedOff()).isTrue();
    assertThat(briefs.get(site, round).refusal()).isEmpty();
    assertThat(doneSteps()).containsExactly("Write the brief");
    undo.redoLatest(editor);
    signOffs.signOff(editor, articles.get(site, round.article().number()), 1);
    assertThat(briefs.get(site, round).refusal()).isEmpty();
    assertThatThrownBy(() -> signOffs.refuse(editor, round, " ")).hasMessageContaining("Say what");
  }

  @Test
  void theTypeSaysWhoSignsOffAndTheDeskAsksThem() {
    SiteContext editor = join(site.site(), "Per Holm", Role.EDITOR);
    briefs.save(site, round, brief("Beginners"), 0);
    usual.setSignOffBy(site, round.typeId(), Role.STRATEGIST);
    assertThat(signOffs.may(editor, round)).isFalse();
    assertThatThrownBy(() -> signOffs.signOff(editor, round, 1))
        .hasMessageContaining("by a strategist or an owner");
    assertThatThrownBy(() -> signOffs.refuse(editor, round, "Why?"))
        .isInstanceOf(RefusedException.class);
    signOffs.signOff(site, round, 1);
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(signOffs.may(editor, round)).isTrue();
    assertThatThrownBy(() -> usual.setSignOffBy(site, round.typeId(), Role.WRITER))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void whatChangedSinceASignOffIsShownUntilItIsAsItWas() {
    briefs.save(site, round, brief("Beginners"), 0);
    signOffs.signOff(site, round, 1);
    briefs.save(site, round, "Reader", "Beginners", "Children");
    Brief changed = briefs.get(site, round);
    assertThat(changed.isSignedOff()).isFalse();
    assertThat(changed.changed())
        .containsExactly(new BriefDifference("Reader", "Beginners", "Children"));
    assertThat(signOffs.waitingForSignOff(List.of(round.id()))).containsExactly(round.id());
    briefs.save(site, round, "Reader", "Children", "Beginners");
    assertThat(briefs.get(site, round).isSignedOff()).isTrue();
    assertThat(signOffs.waitingForSignOff(List.of(round.id()))).isEmpty();
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
    briefs.save(site, round, brief("Beginners"), 0);
    assertThat(briefs.save(site, round, brief("Children"), 0)).isInstanceOf(Saved.Conflict.class);
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
    Brief saved = briefs.get(site, round).with(brief("Beginners"));
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

  private static BriefContent brief(String reader) {
    return BriefContent.NONE
        .withTitle("Eels, at night")
        .withTitles(List.of("Eels by moonlight", "Why eels bite at night"))
        .withPrimary("catching eels")
        .withSecondary(List.of("eel trap", "eel \"rigs\", {curly}"))
        .withText(BriefPart.READER, reader)
        .withText(BriefPart.ANGLE, "Ours is about the tide.")
        .withText(BriefPart.NOTES, "Line one\nline two")
        .withWords(Optional.of(new WordRange(800, 1000, 1200)))
        .withParts(Optional.of(Set.of(BriefPart.READER, BriefPart.SLUG)))
        .withOutline(
            new Outline(
                List.of(
                    new Outline.Section("", "Why at night", 0, "moon", 240),
                    new Outline.Section("Rigs", 1, ""))));
  }
}
