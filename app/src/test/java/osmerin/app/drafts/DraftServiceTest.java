package osmerin.app.drafts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService.Saved;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.draft.CheckResult;
import osmerin.core.draft.CheckResult.Check;
import osmerin.core.draft.DraftCheck;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Verdict;

class DraftServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private EvidenceService evidence;
  @Autowired private DraftService drafts;
  private SiteContext site;
  private Round round;

  @BeforeEach
  void commission() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels at night", type, null, Map.of(), null));
  }

  @Test
  void everyVersionIsKeptWithItsWordsAndItsWriter() {
    assertThat(drafts.save(site, round, "# Eels\r\n\r\nTwo words", 0)).isEqualTo(new Saved.Done(1));
    assertThat(drafts.save(site, round, "Now three words", 1)).isEqualTo(new Saved.Done(2));
    assertThat(drafts.versions(round)).extracting(DraftVersion::words).containsExactly(3, 2);
    assertThat(drafts.version(round, 1).text()).isEqualTo("# Eels\n\nTwo words");
    assertThat(drafts.latest(round).orElseThrow().savedBy()).isEqualTo("Una Berg");
    assertThat(drafts.words(List.of(round))).containsEntry(round.id(), 3);
    assertThatThrownBy(() -> drafts.version(round, 9)).isInstanceOf(NotFoundException.class);
  }

  @Test
  void theSameTextIsNoNewVersion() {
    drafts.save(site, round, "Words", 0);
    assertThat(drafts.save(site, round, "Words", 1)).isEqualTo(new Saved.Unchanged(1));
    assertThat(drafts.save(site, round, "Words", 0)).isEqualTo(new Saved.Unchanged(1));
    assertThat(drafts.versions(round)).hasSize(1);
  }

  @Test
  void theLaterOfTwoWritersIsToldAndBothTextsStay() {
    SiteContext other = join(site.site(), "Per Holm", Role.EDITOR);
    drafts.save(other, round, "Per's words", 0);
    Saved late = drafts.save(site, round, "Una's words", 0);
    assertThat(late).isInstanceOf(Saved.Conflict.class);
    assertThat(((Saved.Conflict) late).theirs().savedBy()).isEqualTo("Per Holm");
    assertThat(drafts.save(site, round, "Una's words", 1)).isEqualTo(new Saved.Done(2));
    assertThat(drafts.version(round, 1).text()).isEqualTo("Per's words");
  }

  @Test
  void aDraftBeyondAllMeasureIsRefused() {
    assertThatThrownBy(() -> drafts.save(site, round, "x".repeat(DraftService.LONGEST + 1), 0))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("400,000");
    assertThat(drafts.latest(round)).isEmpty();
  }

  @Test
  void theCheckUsesBriefAndEvidence() {
    DraftCheck bare = drafts.check(site, round, "Eels.");
    assertThat(bare.applying()).isZero();
    briefs.change(
        site,
        round,
        now ->
            now.withTitle("Eels at night")
                .withPrimary("eels at night")
                .withOutline(new Outline(List.of(new Outline.Section("Traps", 0, "")))));
    assertThat(verdict(drafts.check(site, round, "Eels."), Check.LENGTH))
        .isEqualTo(Verdict.DOES_NOT_APPLY);
    evidence.fetch(site, "eels at night");
    DraftCheck check = drafts.check(site, round, "## Traps\n\nEels at night.");
    assertThat(verdict(check, Check.OUTLINE)).isEqualTo(Verdict.MET);
    assertThat(verdict(check, Check.KEYWORD_IN_OPENING)).isEqualTo(Verdict.MET);
    assertThat(verdict(check, Check.LENGTH)).isEqualTo(Verdict.NOT_MET);
    assertThat(check.terms()).isNotEmpty();
  }

  @Test
  void theDescriptionOfTheBriefWinsOverThatOfTheDraft() {
    String text = "---\ndescription: From the draft\n---\n# Eels\n\nAt night.";
    assertThat(drafts.document(site, round, text).description()).contains("From the draft");
    briefs.change(site, round, now -> now.withText(BriefPart.DESCRIPTION, "From the\nbrief "));
    assertThat(drafts.document(site, round, text).description()).contains("From the brief");
  }

  @Test
  void aRangeSetByHandWinsOverTheEvidence() {
    evidence.fetch(site, "eels at night");
    briefs.change(
        site,
        round,
        now ->
            now.withTitle("T")
                .withPrimary("eels at night")
                .withWords(Optional.of(new WordRange(2, 3, 4))));
    assertThat(verdict(drafts.check(site, round, "Only three words"), Check.LENGTH))
        .isEqualTo(Verdict.MET);
  }

  private static Verdict verdict(DraftCheck check, Check of) {
    return check.results().stream()
        .filter(r -> r.check() == of)
        .map(CheckResult::verdict)
        .findFirst()
        .orElseThrow();
  }
}
