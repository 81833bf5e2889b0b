package osmerin.app.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticlePage;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History.Asked;
import osmerin.app.people.Naming;
import osmerin.app.pitches.Pitch;
import osmerin.app.pitches.PitchService;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

class UndoServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private PitchService pitches;
  @Autowired private History history;
  @Autowired private UndoService undo;
  private SiteContext site;
  private int number;

  @BeforeEach
  void anArticle() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Commission eels = new Commission("Eels", type, null, Map.of(), site.today().plusWeeks(9));
    number = articles.commission(site, eels).article().number();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void whateverWasDoneIsTakenBackStepByStepAndDoneAgain(long seed) {
    Random random = new Random(seed);
    List<String> states = new ArrayList<>(List.of(state()));
    while (states.size() < 12) {
      change(random);
      if (!states.get(states.size() - 1).equals(state())) {
        states.add(state());
      }
    }
    List<Long> taken = new ArrayList<>();
    for (int i = states.size() - 2; i >= 0; i--) {
      taken.add(latestFree());
      undo.undo(site, latestFree());
      assertThat(state()).as("step %d", i).isEqualTo(states.get(i));
    }
    for (int i = taken.size() - 1; i >= 0; i--) {
      undo.undo(site, undoOf(taken.get(i)));
      assertThat(state()).as("again %d", i).isEqualTo(states.get(taken.size() - i));
    }
  }

  private void change(Random random) {
    Round now = articles.get(site, number);
    switch (random.nextInt(7)) {
      case 0 -> edits.rename(site, number, "Eels " + random.nextInt(100), now.article().version());
      case 1 -> {
        LocalDate to = site.today().plusDays(40 + random.nextInt(60));
        publishDates.setPublishDate(site, number, now.publishDate(), to, true);
      }
      case 2 -> {
        List<Stage> inWork = stageList.of(site.siteId()).inWork();
        Stage to = inWork.get(random.nextInt(inWork.size()));
        stageMoves.move(site, number, to.id(), now.stage().id(), true);
      }
      case 3 -> {
        Long writer = now.article().lead(StepRole.WRITER);
        Long to = writer == null ? site.personId() : null;
        naming.name(site, number, new Naming(StepRole.WRITER, 0, writer, to));
      }
      case 4 -> edits.tick(site, number, "brief", random.nextBoolean());
      case 5 -> edits.archive(site, number, !now.isArchived());
      default -> {
        var types = this.types.list(site.siteId(), Kind.NEW);
        edits.setType(site, number, types.get(random.nextInt(types.size())).id());
      }
    }
  }

  private String state() {
    ArticlePage page = articles.page(site, number, null);
    Round r = page.planned().round();
    String steps =
        page.planned().steps().stream().map(s -> s.key() + " " + s.doneOn()).toList().toString();
    return r.title()
        + r.publishDate()
        + r.stage()
        + r.article().writers()
        + r.isArchived()
        + r.typeName()
        + steps;
  }

  private long latestFree() {
    return history.entries(site, Asked.of(Thing.ARTICLE, number), 0, 50).stream()
        .filter(e -> e.undoes() == null && !e.isUndone() && e.isReversible())
        .findFirst()
        .orElseThrow()
        .id();
  }

  private long undoOf(long id) {
    return history.entries(site, Asked.of(Thing.ARTICLE, number), 0, 100).stream()
        .filter(e -> e.undoes() != null && e.undoes() == id)
        .findFirst()
        .orElseThrow()
        .id();
  }

  @Test
  void somethingNewerOnTheSameValueStandsInTheWayAndOnAnotherDoesNot() {
    edits.rename(site, number, "First", articles.get(site, number).article().version());
    long first = latestFree();
    edits.archive(site, number, true);
    edits.archive(site, number, false);
    edits.rename(site, number, "Second", articles.get(site, number).article().version());
    assertThatThrownBy(() -> undo.undo(site, first))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("“Second”")
        .hasMessageContaining("Una Berg");
    undo.undo(site, latestFree());
    undo.undo(site, first);
    assertThat(articles.get(site, number).title()).isEqualTo("Eels");
    assertThatThrownBy(() -> undo.undo(site, first)).hasMessageContaining("already been undone");
  }

  @Test
  void theKeyTakesBackThePersonsOwnLatestChangeAndNobodyElses() {
    SiteContext editor = join(site.site(), "Edda Noor", Role.EDITOR);
    edits.rename(site, number, "Mine", articles.get(site, number).article().version());
    assertThatThrownBy(() -> undo.undoLatest(editor)).isInstanceOf(RefusedException.class);
    stageMoves.move(editor, number, stage(editor, "Briefed"), stage(editor, "Commissioned"), true);
    assertThat(undo.undoLatest(site)).contains("renamed to “Mine”");
    assertThat(undo.undoLatest(editor)).contains("Briefed");
    Round now = articles.get(site, number);
    assertThat(now.title()).isEqualTo("Eels");
    assertThat(now.stage().label()).isEqualTo("Commissioned");
  }

  @Test
  void aWriterTakesBackOnlyTheirOwnAndNobodyReachesAnotherSite() {
    SiteContext writer = join(site.site(), "Wim Asare", Role.WRITER);
    naming.name(site, number, new Naming(StepRole.WRITER, 0, null, writer.personId()));
    stageMoves.move(site, number, stage(site, "Briefed"), stage(site, "Commissioned"), true);
    long theirs = latestFree();
    assertThatThrownBy(() -> undo.undo(writer, theirs)).isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> undo.undo(emptySite(), theirs)).isInstanceOf(NotFoundException.class);
    stageMoves.move(writer, number, stage(writer, "Drafting"), stage(writer, "Briefed"), true);
    assertThat(undo.undoLatest(writer)).contains("Drafting");
  }

  @Test
  void aDraftTakenBackIsANewVersionAndLosesNone() {
    drafts.save(site, articles.get(site, number), "First words.", 0);
    drafts.save(site, articles.get(site, number), "Second words.", 1);
    undo.undoLatest(site);
    Round round = articles.get(site, number);
    assertThat(drafts.latest(round).orElseThrow().text()).isEqualTo("First words.");
    assertThat(drafts.versions(round)).hasSize(3);
  }

  @Test
  void pitchesAreRenamedArchivedAndComeBack() {
    Pitch pitch = pitches.pitch(site, "Why eels turn");
    pitches.rename(site, pitch.id(), "Why eels turn round", pitch.version());
    pitches.archive(site, pitch.id());
    assertThat(pitches.open(site, 0, 9)).isEmpty();
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(pitches.open(site, 0, 9)).extracting(Pitch::title).containsExactly("Why eels turn");
    pitches.archive(site, pitch.id());
    pitches.restore(site, pitch.id());
    assertThat(pitches.countArchived(site, "")).isZero();
  }

  @Test
  void everyEntrySaysWhoWhatBeforeAndAfter() {
    edits.rename(site, number, "Elvers", articles.get(site, number).article().version());
    Entry entry = history.entries(site, Asked.of(Thing.ARTICLE, number), 0, 1).get(0);
    assertThat(entry.person()).isEqualTo("Una Berg");
    assertThat(entry.changes())
        .singleElement()
        .satisfies(
            c ->
                assertThat(List.of(c.field(), c.before(), c.after()))
                    .containsExactly("Title", "Eels", "Elvers"));
    assertThat(history.count(site, Asked.ALL)).isEqualTo(2);
    assertThat(history.people(site)).extracting(History.Doer::name).containsExactly("Una Berg");
    assertThat(history.entries(emptySite(), Asked.ALL, 0, 9)).isEmpty();
  }

  @Test
  void undoingTheLatestAgainGoesFurtherBackAndRedoingGoesForwardAgain() {
    List<String> states = new ArrayList<>(List.of(state()));
    for (String to : List.of("Briefed", "Drafting", "Editing")) {
      long seen = articles.get(site, number).stage().id();
      stageMoves.move(site, number, stage(site, to), seen, true);
      states.add(state());
    }
    for (int back = 2; back >= 0; back--) {
      undo.undoLatest(site);
      assertThat(state()).isEqualTo(states.get(back));
    }
    undo.redoLatest(site);
    assertThat(state()).isEqualTo(states.get(1));
    undo.redoLatest(site);
    assertThat(state()).isEqualTo(states.get(2));
    undo.undoLatest(site);
    assertThat(state()).isEqualTo(states.get(1));
    // A new change ends what could be redone.
    edits.rename(site, number, "More eels", articles.get(site, number).article().version());
    assertThatThrownBy(() -> undo.redoLatest(site)).hasMessage("You have nothing to redo.");
  }

  @Test
  void nobodyRedoesWhatAnotherUndid() {
    stageMoves.move(site, number, stage(site, "Briefed"), stage(site, "Commissioned"), true);
    undo.undoLatest(site);
    SiteContext other = join(site.site(), "Edda Noor", Role.EDITOR);
    assertThatThrownBy(() -> undo.redoLatest(other)).isInstanceOf(RefusedException.class);
  }
}
