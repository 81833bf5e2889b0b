package osmerin.app.steps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticlePage;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.ledger.ArticleFilter;
import osmerin.app.ledger.ArticleLedger;
import osmerin.app.people.Naming;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.RecipeForm.Row;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.Completion;
import osmerin.core.runup.PlannedStep;
import osmerin.core.runup.RecipeRow;
import osmerin.core.runup.StepRole;

/** The steps of one article: added, dropped, changed, pinned, claimed, undone. */
class StepEditsTest extends ApplicationTest {
  @Autowired private StepEdits steps;
  @Autowired private ArticleService articles;
  @Autowired private ArticleLedger ledger;
  @Autowired private UndoService undo;
  private SiteContext site;
  private int number;

  @BeforeEach
  void anArticle() {
    site = emptySite();
    LocalDate day = site.today().plusWeeks(6).with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    number =
        articles
            .commission(site, new Commission("Eels", post, null, Map.of(), day))
            .article()
            .number();
  }

  private Round round() {
    return articles.get(site, number);
  }

  private ArticlePage page() {
    return articles.page(site, number, null);
  }

  private List<Row> rows() {
    return new ArrayList<>(RecipeForm.ofArticle(page().planned().steps(), site.today()).rows());
  }

  private Map<Integer, String> change(List<Row> rows) {
    return steps.change(site, number, new RecipeForm(rows), steps.seen(round()));
  }

  private static Row row(String name, String role, String days, String when, String pin) {
    return new Row(new RecipeRow("", name, role, "1", days, when, Completion.HAND), "", pin);
  }

  private PlannedStep planned(String key) {
    return page().planned().plan().steps().stream()
        .filter(step -> step.step().key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void a_step_is_added_to_one_article_which_says_how_it_differs() {
    LocalDate draftDue = planned("draft").due();
    List<Row> rows = rows();
    rows.add(3, row("Draw the kiln loading", "writer", "5", "write the draft", ""));
    rows.set(
        4,
        new Row(
            new RecipeRow("edit", "Edit", "editor", "1.5", "1", "draw", Completion.HAND), "", ""));

    assertThat(change(rows)).isEmpty();

    assertThat(page().differences())
        .containsExactly("“Draw the kiln loading” added", "“Edit”: waits for other steps");
    assertThat(planned("draft").due()).isBefore(draftDue);
    assertThat(types.steps(round().typeId())).hasSize(5);
    undo.undoLatest(site);
    assertThat(page().differences()).isEmpty();
    assertThat(planned("draft").due()).isEqualTo(draftDue);
    undo.redoLatest(site);
    assertThat(page().planned().steps()).hasSize(6);
  }

  @Test
  void the_steps_of_its_type_come_back_but_for_what_is_done() {
    List<Row> rows = rows();
    rows.remove(2);
    rows.set(
        2,
        new Row(new RecipeRow("edit", "Edit", "editor", "9", "9", "2", Completion.HAND), "", ""));
    rows.set(
        3,
        new Row(new RecipeRow("proof", "Proof", "editor", "1", "1", "3", Completion.HAND), "", ""));
    rows.add(row("Draw", "writer", "1", "", ""));
    change(rows);
    edits.tick(site, number, "draw", true);

    steps.asType(site, number);

    assertThat(page().differences()).containsExactly("“Draw” added");
    undo.undoLatest(site);
    assertThat(page().differences()).hasSize(4);
  }

  @Test
  void the_sign_of_unchanged_steps_is_the_same_on_every_node() {
    assertThat(steps.seen(round())).isEqualTo("b811ae77-7384-31ca-948d-a9f01a461adc");
    edits.tick(site, number, "brief", true);
    assertThat(steps.seen(round())).isEqualTo("b811ae77-7384-31ca-948d-a9f01a461adc");
  }

  @Test
  void a_pin_stays_through_a_move_and_says_that_it_clashes() {
    LocalDate pin = planned("draft").due();
    List<Row> rows = rows();
    rows.set(1, new Row(rows.get(1).recipe(), "", pin.toString()));
    change(rows);

    LocalDate day = round().publishDate();
    publishDates.setPublishDate(site, number, day, day.plusWeeks(4), false);
    assertThat(planned("draft").due()).isEqualTo(pin);
    assertThat(planned("draft").pinConflict()).isFalse();
    publishDates.setPublishDate(site, number, day.plusWeeks(4), day.minusWeeks(1), true);
    assertThat(planned("draft").due()).isEqualTo(pin);
    assertThat(planned("draft").pinConflict()).isTrue();
  }

  @Test
  void what_is_done_stays() {
    edits.tick(site, number, "brief", true);
    List<Row> rows = rows();
    rows.remove(0);
    rows.set(
        0,
        new Row(
            new RecipeRow("draft", "Write the draft", "writer", "1", "1", "", Completion.HAND),
            "",
            ""));

    assertThatThrownBy(() -> change(rows))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Write the brief");
    assertThat(page().planned().steps()).hasSize(5);
  }

  @Test
  void what_was_ticked_since_stays_ticked_when_a_change_is_undone() {
    List<Row> rows = rows();
    rows.set(
        1,
        new Row(
            new RecipeRow("draft", "Write it", "writer", "9", "9", "1", Completion.HAND), "", ""));
    change(rows);
    SiteContext writer = join(site.site(), "Wim Aal", Role.EDITOR);
    edits.tick(writer, number, "draft", true);

    undo.undoLatest(site);

    StepRow draft = page().planned().steps().get(1);
    assertThat(draft.name()).isEqualTo("Write the draft");
    assertThat(draft.doneOn()).isEqualTo(site.today());
  }

  @Test
  void another_type_keeps_what_is_done_and_what_is_the_articles_own() {
    List<Row> rows = rows();
    rows.add(row("Draw the kiln loading", "writer", "2", "write the draft", ""));
    change(rows);
    edits.tick(site, number, "pictures", true);
    long guide = types.list(site.siteId(), Kind.NEW).get(1).id();

    edits.setType(site, number, guide);

    assertThat(page().planned().steps())
        .extracting(StepRow::name)
        .contains("Gather sources", "Revise", "Draw the kiln loading", "Make pictures");
    assertThat(page().differences())
        .contains("“Draw the kiln loading” added")
        .noneMatch(words -> words.contains("dropped"));
    // Somebody else ticks since, and the change of type is undone.
    SiteContext editor = join(site.site(), "Ed Falk", Role.EDITOR);
    edits.tick(editor, number, "draft", true);
    undo.undoLatest(site);
    assertThat(page().differences()).containsExactly("“Draw the kiln loading” added");
    assertThat(page().planned().steps())
        .filteredOn(step -> step.doneOn() != null)
        .extracting(StepRow::key)
        .containsExactlyInAnyOrder("draft", "pictures");
  }

  @Test
  void faults_are_said_by_row_and_nothing_is_changed() {
    List<Row> rows = rows();
    rows.add(row("Read it", "poet", "1", "", ""));
    assertThat(change(rows)).containsOnlyKeys(5);
    rows.set(5, row("Read it", "writer", "1", "", "some day"));
    assertThat(change(rows)).containsOnlyKeys(5);
    rows.set(5, new Row(row("Read it", "writer", "1", "", "").recipe(), "999999", ""));
    assertThat(change(rows)).containsEntry(5, "That person is not on this site.");
    assertThat(page().planned().steps()).hasSize(5);
  }

  @Test
  void two_who_change_them_at_once_lose_nothing() {
    String seen = steps.seen(round());
    List<Row> rows = rows();
    rows.add(row("Read it", "writer", "1", "", ""));
    change(rows);

    assertThatThrownBy(() -> steps.change(site, number, new RecipeForm(rows()), seen + "0"))
        .isInstanceOf(ConflictException.class);
    assertThatThrownBy(() -> steps.change(site, number, new RecipeForm(rows()), seen))
        .isInstanceOf(ConflictException.class);
  }

  @Test
  void who_holds_one_step_may_work_on_the_article_and_tick_that_one_alone() {
    SiteContext writer = join(site.site(), "Wim Aal", Role.WRITER);
    assertThatThrownBy(() -> edits.tick(writer, number, "draft", true))
        .isInstanceOf(ForbiddenException.class);
    List<Row> rows = rows();
    rows.set(1, new Row(rows.get(1).recipe(), String.valueOf(writer.personId()), ""));
    change(rows);

    assertThat(round().isOf(writer.personId())).isTrue();
    edits.tick(writer, number, "draft", true);
    assertThatThrownBy(() -> edits.tick(writer, number, "edit", true))
        .isInstanceOf(ForbiddenException.class);
    assertThat(ledger.page(site, filter(writer)).rows()).hasSize(1);
  }

  private static ArticleFilter filter(SiteContext person) {
    return new ArticleFilter(
        null, null, person.personId(), null, null, null, null, null, null, null, null);
  }

  @Test
  void an_unassigned_step_is_claimed_once() {
    SiteContext writer = join(site.site(), "Wim Aal", Role.WRITER);
    SiteContext other = join(site.site(), "Ola Ek", Role.WRITER);

    steps.claim(writer, number, "draft");

    assertThat(page().planned().steps().get(1).personId()).isEqualTo(writer.personId());
    assertThatThrownBy(() -> steps.claim(other, number, "draft"))
        .isInstanceOf(RefusedException.class);
    undo.undoLatest(writer);
    assertThat(page().planned().steps().get(1).personId()).isNull();
    naming.name(site, number, new Naming(StepRole.WRITER, 0, null, other.personId()));
    assertThatThrownBy(() -> steps.claim(writer, number, "draft"))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void handing_in_ticks_the_writing_and_is_undone_with_the_move() {
    stageMoves.move(site, number, stage(site, "Drafting"), stage(site, "Commissioned"), true);
    stageMoves.move(site, number, stage(site, "Editing"), stage(site, "Drafting"), true);
    assertThat(page().planned().steps().get(1).doneOn()).isEqualTo(site.today());

    undo.undoLatest(site);

    assertThat(round().stage().label()).isEqualTo("Drafting");
    assertThat(page().planned().steps().get(1).doneOn()).isNull();
  }

  @Test
  void a_form_that_repeats_its_fields_is_read_row_by_row() {
    Map<String, List<String>> fields = new HashMap<>();
    fields.put("name", List.of("Draft", "", "Edit, then cut"));
    fields.put("role", List.of("writer", "writer", "editor"));
    fields.put("hours", List.of("1", "", "2"));

    RecipeForm form = RecipeForm.sent(fields);

    assertThat(form.recipe())
        .containsExactly(
            new RecipeRow("", "Draft", "writer", "1", "", "", Completion.HAND),
            new RecipeRow("", "Edit, then cut", "editor", "2", "", "", Completion.HAND));
  }
}
