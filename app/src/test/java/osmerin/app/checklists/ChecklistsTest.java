package osmerin.app.checklists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService;
import osmerin.app.publishing.Wish;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.types.RoleEdits;
import osmerin.app.types.TypeEdits;
import osmerin.core.article.Kind;
import osmerin.core.checklist.Checklist;
import osmerin.core.checklist.ChecklistItem;
import osmerin.core.checklist.OwnCheck;
import osmerin.core.runup.StepRole;

/** Publishing waits for what must be right, or is done with a reason that stays. */
class ChecklistsTest extends ApplicationTest {
  @Autowired private Checklists checklists;
  @Autowired private ChecklistEdits edits;
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private PublishService publishing;
  @Autowired private History history;
  @Autowired private UndoService undo;
  @Autowired private TypeEdits typeEdits;
  @Autowired private RoleEdits roleEdits;
  @Autowired private StepRoles roles;
  private SiteContext site;
  private SiteContext wim;
  private long post;

  @BeforeEach
  void aTeamOfTwo() {
    site = emptySite();
    wim = join(site.site(), "Wim Aal", Role.WRITER);
    post = types.list(site.siteId(), Kind.NEW).get(0).id();
  }

  private int ready(String text) {
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, wim.personId());
    Round round = articles.commission(site, new Commission("Eels", post, null, people, null));
    drafts.save(site, round, text, 0);
    int number = round.article().number();
    stageMoves.move(site, number, stage(site, "Ready"), stage(site, "Commissioned"), true);
    return number;
  }

  private void set(SiteContext context, long type, Set<OwnCheck> own, String byHand) {
    edits.set(context, type, own, byHand, ChecklistEdits.seen(edits.items(context, type)));
  }

  @Test
  void of_two_who_change_it_at_once_the_later_is_told_and_loses_nothing() {
    String seen = ChecklistEdits.seen(edits.items(site, post));
    edits.set(site, post, Set.of(), "Names are right", seen);
    assertThatThrownBy(() -> edits.set(site, post, Set.of(), "Rights", seen))
        .isInstanceOf(RefusedException.class)
        .hasMessageContainingAll(site.person().name(), "Names are right");
    set(site, post, Set.of(), "Rights");
    assertThat(edits.items(site, post)).extracting(ChecklistItem::text).containsExactly("Rights");
  }

  private List<String> open(int number) {
    return checklists.of(site, articles.get(site, number)).open().stream()
        .map(line -> line.item().text())
        .toList();
  }

  private String tickKey(int number, String text) {
    return checklists.of(site, articles.get(site, number)).lines().stream()
        .map(Checklist.Line::item)
        .filter(item -> item.text().equals(text))
        .findFirst()
        .orElseThrow()
        .key();
  }

  @Test
  void publishing_asks_for_a_reason_while_something_is_open_and_keeps_it() {
    set(site, post, Set.of(OwnCheck.PICTURES), "Names are right, writer");
    int number = ready("# Eels\n\nThey travel.");
    assertThat(open(number)).containsExactly(OwnCheck.PICTURES.label(), "Names are right");

    assertThatThrownBy(() -> publishing.publish(site, number, Wish.BY_HAND))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> {
              assertThat(ask.isForReason()).isTrue();
              assertThat(ask.points()).contains(OwnCheck.PICTURES.label() + ": no picture");
            });
    assertThat(articles.get(site, number).stage().label()).isEqualTo("Ready");
    publishing.publish(site, number, Wish.byHand(false, " the photographer is ill ", false));
    assertThat(articles.get(site, number).isLive()).isTrue();
    assertThat(history.entries(site, Asked.ALL, 0, 1).get(0).sentence())
        .contains("went live though 2 items", "no picture", "the photographer is ill");
  }

  @Test
  void once_all_is_right_it_is_published_without_a_word() {
    set(site, post, EnumSet.of(OwnCheck.PICTURES, OwnCheck.LINKS), "Names are right");
    int number = ready("# Eels\n\nThey [travel](/far). ![An eel](eel.jpg)");
    checklists.tick(site, number, tickKey(number, "Names are right"), true);
    assertThat(open(number)).isEmpty();
    assertThat(publishing.publish(site, number, Wish.BY_HAND))
        .isInstanceOf(PublishService.Outcome.Live.class);
  }

  @Test
  void at_its_hour_nobody_is_asked_and_it_stays_set_until_it_is_right() {
    set(site, post, Set.of(OwnCheck.PICTURES), "");
    int number = ready("# Eels\n\nThey travel.");
    Wish wish = Wish.unattended(java.util.Optional.empty(), "");
    assertThatThrownBy(() -> publishing.publish(site, number, wish))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("1 item on its checklist is open", "no picture");
    drafts.save(site, articles.get(site, number), "# Eels\n\n![An eel](eel.jpg)", 1);
    assertThat(publishing.publish(site, number, wish))
        .isInstanceOf(PublishService.Outcome.Live.class);
  }

  @Test
  void a_site_of_one_is_reminded_until_its_owner_makes_it_hold() {
    SiteContext alone = emptySite();
    long type = types.list(alone.siteId(), Kind.NEW).get(0).id();
    set(alone, type, Set.of(OwnCheck.PICTURES), "");
    Round round = articles.commission(alone, new Commission("Eels", type, null, Map.of(), null));
    drafts.save(alone, round, "Words.", 0);
    stageMoves.move(alone, 1, stage(alone, "Ready"), stage(alone, "Commissioned"), true);
    assertThat(checklists.gates(alone.site())).isFalse();
    assertThatThrownBy(() -> publishing.publish(alone, 1, Wish.BY_HAND))
        .isInstanceOfSatisfying(
            AskException.class, ask -> assertThat(ask.set()).containsKey("reminded"));

    edits.setGates(alone, true);
    Wish reminded = Wish.byHand(false, null, true);
    assertThatThrownBy(() -> publishing.publish(alone, 1, reminded))
        .isInstanceOfSatisfying(AskException.class, ask -> assertThat(ask.isForReason()).isTrue());
    undo.undoLatest(alone);
    assertThat(publishing.publish(alone, 1, reminded))
        .isInstanceOf(PublishService.Outcome.Live.class);
    assertThat(checklists.gates(site.site())).isTrue();
  }

  @Test
  void whoever_is_named_for_the_role_ticks_and_nobody_else_but_editors() {
    set(site, post, Set.of(OwnCheck.PICTURES), "Names are right, writer\nRights, editor");
    int number = ready("Words.");
    String names = tickKey(number, "Names are right");
    SiteContext ola = join(site.site(), "Ola Ek", Role.WRITER);

    assertThatThrownBy(() -> checklists.tick(ola, number, names, true))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> checklists.tick(wim, number, tickKey(number, "Rights"), true))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> checklists.tick(site, number, "pictures", true))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> checklists.tick(site, number, "gone", true))
        .isInstanceOf(NotFoundException.class);
    checklists.tick(wim, number, names, true);
    checklists.tick(wim, number, names, true);
    assertThat(open(number)).doesNotContain("Names are right");
    undo.undoLatest(wim);
    assertThat(open(number)).contains("Names are right");
    undo.redoLatest(wim);
    assertThat(open(number)).doesNotContain("Names are right");
  }

  @Test
  void a_checklist_is_changed_taken_back_copied_and_keeps_ticks_of_the_same_words() {
    set(site, post, Set.of(OwnCheck.LINKS), "Names are right");
    int number = ready("Words.");
    checklists.tick(site, number, tickKey(number, "Names are right"), true);
    set(site, post, Set.of(), "Rights are cleared\nNames are right, editor");
    assertThat(open(number)).containsExactly("Rights are cleared");
    long copy = typeEdits.copy(site, post);
    assertThat(edits.items(site, copy)).isEqualTo(edits.items(site, post));
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(open(number)).containsExactly(OwnCheck.LINKS.label());
    assertThatThrownBy(() -> set(site, post, Set.of(), "Twice\ntwice!"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("is listed twice");
    assertThatThrownBy(() -> set(site, post, Set.of(), "x".repeat(201)))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> set(wim, post, Set.of(), "")).isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> edits.items(emptySite(), post)).isInstanceOf(NotFoundException.class);
  }

  @Test
  void a_role_keeps_its_things_when_it_is_renamed_and_stays_while_it_has_some() {
    roleEdits.add(site, "picture desk");
    set(site, post, Set.of(), "Rights are cleared, picture desk");
    assertThatThrownBy(() -> roleEdits.remove(site, "picture desk"))
        .isInstanceOf(RefusedException.class);
    roleEdits.rename(site, "picture desk", "archive desk");
    assertThat(edits.items(site, post).get(0).role()).isEqualTo(new StepRole("archive desk"));
    assertThat(roles.list(site.siteId())).contains(new StepRole("archive desk"));
  }
}
