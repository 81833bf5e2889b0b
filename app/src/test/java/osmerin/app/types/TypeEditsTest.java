package osmerin.app.types;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.Brief;
import osmerin.app.briefs.BriefService;
import osmerin.app.briefs.Lengths;
import osmerin.app.history.UndoService;
import osmerin.app.people.Naming;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.Recipe;
import osmerin.core.runup.RecipeText;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.StepRole;

/** The types of a site: typed, changed, followed by open articles, retired, undone. */
class TypeEditsTest extends ApplicationTest {
  private static final Set<StepRole> ROLES = Set.copyOf(StepRole.SHIPPED);

  @Autowired private TypeEdits edits;
  @Autowired private UsualEdits usual;
  @Autowired private BriefService briefs;
  @Autowired private Lengths lengths;
  @Autowired private RoleEdits roles;
  @Autowired private ArticleService articles;
  @Autowired private UndoService undo;
  @Autowired private ArticleEdits articleEdits;
  @Autowired private TransactionTemplate transaction;
  @Autowired private JdbcTemplate jdbc;
  private SiteContext site;

  @BeforeEach
  void aSite() {
    site = emptySite();
  }

  private static List<RunUpStep> recipe(String text, StepRole... more) {
    Set<StepRole> known = new HashSet<>(ROLES);
    known.addAll(List.of(more));
    Recipe recipe = Recipe.read(RecipeText.rows(text, known, List.of()), known);
    assertThat(recipe.faults()).isEmpty();
    return recipe.steps();
  }

  private ArticleType type(long id) {
    return edits.get(site, id);
  }

  private Round commission(long type, LocalDate date) {
    return articles.commission(site, new Commission("Eels", type, null, Map.of(), date));
  }

  private List<String> stepsOf(Round round) {
    return articles.page(site, round.article().number(), null).planned().steps().stream()
        .map(StepRow::name)
        .toList();
  }

  @Test
  void a_typed_type_gives_its_steps_to_new_articles() {
    long id = edits.add(site, Kind.NEW, " Field   note ", recipe("Brief\nDraft, 3 h, 2 days"));

    assertThat(type(id).name()).isEqualTo("Field note");
    assertThat(stepsOf(commission(id, null))).containsExactly("Brief", "Draft");
    assertThatThrownBy(() -> edits.add(site, Kind.NEW, "FIELD NOTE", recipe("Draft")))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("FIELD NOTE");
    assertThatThrownBy(() -> edits.add(site, Kind.NEW, " ", recipe("Draft")))
        .isInstanceOf(RefusedException.class);
    SiteContext editor = join(site.site(), "Ed Falk", Role.EDITOR);
    assertThatThrownBy(() -> edits.add(editor, Kind.NEW, "Other", recipe("Draft")))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void open_articles_follow_or_not_and_done_steps_stay() {
    long id = edits.add(site, Kind.NEW, "Note", recipe("Brief\nDraft, 3 h, 2 days\nEdit, editor"));
    Round follows = commission(id, null);
    this.edits(follows, "brief");
    RunUp wanted = new RunUp("Note", 3, recipe("Draft, 3 h, 4 days\nFacts, editor\nEdit, editor"));

    edits.change(site, id, wanted, false, type(id).version());
    assertThat(stepsOf(follows)).containsExactly("Brief", "Draft", "Edit");
    assertThat(stepsOf(commission(id, null))).containsExactly("Draft", "Facts", "Edit");

    RunUp longer = new RunUp("Note", 3, recipe("Draft, 9 h, 5 days\nFacts, editor\nEdit, editor"));
    int count = edits.change(site, id, longer, true, type(id).version());
    assertThat(count).isEqualTo(2);
    assertThat(stepsOf(follows)).containsExactly("Brief", "Draft", "Facts", "Edit");
    assertThat(articles.get(site, follows.article().number()).cushion()).isEqualTo(3);
    assertThat(doneKeys(follows)).containsExactly("brief");

    undo.undoLatest(site);
    assertThat(stepsOf(follows)).containsExactly("Brief", "Draft", "Edit");
    assertThat(articles.get(site, follows.article().number()).cushion()).isEqualTo(2);
    assertThat(types.steps(id)).isEqualTo(wanted.steps());
    undo.redoLatest(site);
    assertThat(types.steps(id)).isEqualTo(longer.steps());
    assertThat(doneKeys(follows)).containsExactly("brief");
  }

  private void edits(Round round, String key) {
    super.edits.tick(site, round.article().number(), key, true);
  }

  private List<String> doneKeys(Round round) {
    return articles.page(site, round.article().number(), null).planned().steps().stream()
        .filter(step -> step.doneOn() != null)
        .map(StepRow::key)
        .toList();
  }

  @Test
  void a_type_has_at_least_one_step() {
    assertThatThrownBy(() -> edits.add(site, Kind.NEW, "Empty", List.of()))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("at least one step");
    ArticleType post = types.list(site.siteId(), Kind.NEW).get(0);
    RunUp empty = new RunUp("Post", 2, List.of());
    assertThatThrownBy(() -> edits.change(site, post.id(), empty, false, post.version()))
        .isInstanceOf(RefusedException.class);
    assertThat(types.steps(post.id())).hasSize(5);
  }

  @Test
  void a_preview_says_what_then_happens() {
    long id = edits.add(site, Kind.NEW, "Note", recipe("Brief\nDraft, 3 h, 2 days\nEdit, editor"));
    LocalDate day = site.today().plusWeeks(2).with(TemporalAdjusters.next(DayOfWeek.FRIDAY));
    List<Round> rounds =
        List.of(commission(id, null), commission(id, day), commission(id, day.plusWeeks(3)));
    RunUp wanted = new RunUp("Note", 1, recipe("Brief\nDraft, 3 h, 14 days\nEdit, editor"));

    List<Follower> followers = edits.preview(site, type(id), 1, wanted.steps());
    edits.change(site, id, wanted, true, type(id).version());

    assertThat(followers).hasSize(3);
    List<PlannedRound> after = new ArrayList<>();
    rounds.forEach(r -> after.add(articles.page(site, r.article().number(), null).planned()));
    for (Follower follower : followers) {
      PlannedRound now =
          after.stream()
              .filter(p -> p.round().id() == follower.before().round().id())
              .findFirst()
              .orElseThrow();
      assertThat(now.plan()).isEqualTo(follower.after().plan());
      assertThat(now.standing()).isEqualTo(follower.after().standing());
    }
  }

  @Test
  void nobody_overwrites_what_somebody_else_changed() {
    ArticleType post = types.list(site.siteId(), Kind.NEW).get(0);
    RunUp wanted = new RunUp("Post", 2, recipe("Draft"));
    edits.change(site, post.id(), wanted, false, post.version());

    assertThatThrownBy(() -> edits.change(site, post.id(), wanted, false, post.version()))
        .isInstanceOf(ConflictException.class);
  }

  @Test
  void a_retired_type_stays_with_its_articles_and_one_is_left() {
    List<ArticleType> all = types.list(site.siteId(), Kind.NEW);
    Round round = commission(all.get(0).id(), null);

    edits.retire(site, all.get(0).id());
    assertThat(types.list(site.siteId(), Kind.NEW)).hasSize(2);
    assertThat(articles.get(site, round.article().number()).typeName()).isEqualTo("Post");
    assertThatThrownBy(() -> commission(all.get(0).id(), null))
        .isInstanceOf(NotFoundException.class);
    undo.undoLatest(site);
    assertThat(types.list(site.siteId(), Kind.NEW)).hasSize(3);
    edits.retire(site, all.get(0).id());
    edits.retire(site, all.get(1).id());
    assertThatThrownBy(() -> edits.retire(site, all.get(2).id()))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void who_usually_does_it_is_named_unless_somebody_else_is() {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    SiteContext writer = join(site.site(), "Wim Aal", Role.WRITER);
    SiteContext other = join(site.site(), "Ola Ek", Role.WRITER);

    usual.setPerson(site, post, StepRole.WRITER, writer.personId());
    usual.setPerson(site, post, StepRole.EDITOR, writer.personId());
    undo.undoLatest(site);

    assertThat(commission(post, null).article().people())
        .containsExactly(Map.entry(StepRole.WRITER, List.of(writer.personId())));
    Map<StepRole, Long> named = Map.of(StepRole.WRITER, other.personId());
    assertThat(
            articles
                .commission(site, new Commission("Elvers", post, null, named, null))
                .article()
                .lead(StepRole.WRITER))
        .isEqualTo(other.personId());
    team.remove(site, writer.personId());
    assertThat(commission(post, null).article().writers()).isEmpty();
  }

  @Test
  void an_article_follows_though_a_role_was_renamed_since_it_began() {
    StepRole reader = roles.add(site, "reader");
    long id = edits.add(site, Kind.NEW, "Read", recipe("Draft\nRead it, reader", reader));
    Round round = commission(id, null);
    RunUp longer = new RunUp("Read", 2, recipe("Draft, 3 days\nRead it, reader", reader));
    edits.change(site, id, longer, false, type(id).version());
    roles.rename(site, "reader", "proof reader");

    List<RunUpStep> wanted =
        recipe("Draft, 4 days\nRead it, proof reader, 2 days", new StepRole("proof reader"));
    edits.change(site, id, new RunUp("Read", 2, wanted), true, type(id).version());

    assertThat(articles.page(site, round.article().number(), null).planned().steps())
        .extracting(StepRow::length)
        .containsExactly(4, 2);
  }

  @Test
  void how_long_it_usually_is_holds_until_evidence_or_the_brief_says_it() {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Round round = commission(post, null);
    Brief brief = briefs.get(site, round);
    assertThat(lengths.of(site, round, brief, Evidence.NONE)).isEmpty();

    usual.setWords(site, post, "1,200", "1600");

    WordRange said = new WordRange(1200, 1400, 1600);
    assertThat(lengths.of(site, round, brief, Evidence.NONE)).contains(said);
    WordRange ranks = new WordRange(700, 800, 900);
    Evidence drawn = new Evidence(List.of(), Optional.of(ranks), List.of());
    assertThat(lengths.of(site, round, brief, drawn)).contains(ranks);
    assertThat(type(edits.copy(site, post)).words()).contains(said);
    usual.setWords(site, post, "", "");
    assertThat(type(post).words()).isEmpty();
    undo.undoLatest(site);
    assertThat(type(post).words()).contains(said);
    assertThatThrownBy(() -> usual.setWords(site, post, "1600", "1200"))
        .isInstanceOf(RefusedException.class);
    SiteContext other = emptySite();
    assertThatThrownBy(() -> usual.setWords(other, post, "1", "2"))
        .isInstanceOf(NotFoundException.class);
  }

  @Test
  void a_copy_has_the_recipe_and_a_name_of_its_own() {
    ArticleType post = types.list(site.siteId(), Kind.NEW).get(0);

    long copy = edits.copy(site, post.id());
    long second = edits.copy(site, post.id());

    assertThat(type(copy).name()).isEqualTo("Copy of Post");
    assertThat(type(second).name()).isEqualTo("Copy 2 of Post");
    assertThat(types.steps(copy)).isEqualTo(types.steps(post.id()));
    undo.undoLatest(site);
    assertThat(types.list(site.siteId(), Kind.NEW)).hasSize(4);
  }

  @Test
  void a_role_is_added_renamed_everywhere_and_removed_once_nobody_needs_it() {
    StepRole reader = roles.add(site, "Second  reader");
    List<RunUpStep> recipe = recipe("Draft\nRead it, second reader", reader);
    long id = edits.add(site, Kind.NEW, "Read twice", recipe);
    Round round = commission(id, null);
    naming.name(site, round.article().number(), new Naming(reader, 0, null, site.personId()));

    usual.setPerson(site, id, reader, site.personId());
    roles.rename(site, "second reader", "Proof reader");
    StepRole proof = new StepRole("proof reader");
    assertThat(types.steps(id).get(1).role()).isEqualTo(proof);
    assertThat(articles.get(site, round.article().number()).article().people(proof))
        .containsExactly(site.personId());
    assertThat(types.people(site.siteId(), id)).containsKey(proof);
    assertThatThrownBy(() -> roles.remove(site, "proof reader"))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> roles.rename(site, "writer", "author"))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> roles.add(site, "EDITOR")).isInstanceOf(RefusedException.class);
    undo.undoLatest(site);
    assertThat(types.steps(id).get(1).role()).isEqualTo(reader);
    roles.add(site, "illustrator");
    roles.remove(site, "illustrator");
    undo.undoLatest(site);
    assertThatThrownBy(() -> roles.add(site, "illustrator")).isInstanceOf(RefusedException.class);
  }

  /** Somebody ticks a step while the type gets another recipe that open articles follow. */
  @Test
  void a_tick_of_the_same_moment_is_not_lost_to_a_recipe_that_is_followed() throws Exception {
    long id = edits.add(site, Kind.NEW, "Note", recipe("Brief\nDraft, 3 h"));
    Round round = commission(id, null);
    RunUp wanted = new RunUp("Note", 2, recipe("Brief\nDraft, 5 h\nEdit"));
    isKeptThrough(round, () -> edits.change(site, id, wanted, true, type(id).version()));
    assertThat(stepsOf(round)).containsExactly("Brief", "Draft", "Edit");
  }

  @Test
  void a_tick_of_the_same_moment_is_not_lost_to_another_type() throws Exception {
    long note = edits.add(site, Kind.NEW, "Note", recipe("Brief\nDraft"));
    long essay = edits.add(site, Kind.NEW, "Essay", recipe("Brief\nDraft\nEdit"));
    Round round = commission(note, null);
    isKeptThrough(round, () -> articleEdits.setType(site, round.article().number(), essay));
    assertThat(stepsOf(round)).containsExactly("Brief", "Draft", "Edit");
  }

  /** The change begins between the tick and the end of its transaction. */
  private void isKeptThrough(Round round, Runnable change) throws Exception {
    CountDownLatch ticked = new CountDownLatch(1);
    CountDownLatch changing = new CountDownLatch(1);
    ExecutorService two = Executors.newFixedThreadPool(2);
    try {
      Future<?> tick =
          two.submit(
              () ->
                  transaction.executeWithoutResult(
                      status -> {
                        articleEdits.tick(site, round.article().number(), "brief", true);
                        ticked.countDown();
                        await(changing);
                      }));
      await(ticked);
      Future<?> changed = two.submit(change);
      Awaitility.await().until(this::somebodyWaitsForALock);
      changing.countDown();
      tick.get(20, TimeUnit.SECONDS);
      changed.get(20, TimeUnit.SECONDS);
    } finally {
      changing.countDown();
      two.shutdown();
    }
    assertThat(articles.page(site, round.article().number(), null).planned().steps().get(0))
        .satisfies(step -> assertThat(step.doneOn()).isEqualTo(site.today()));
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private boolean somebodyWaitsForALock() {
    return jdbc.queryForObject("select count(*) from pg_locks where not granted", Integer.class)
        > 0;
  }
}
