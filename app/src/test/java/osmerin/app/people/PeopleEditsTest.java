package osmerin.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.notices.Notice;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** Several people may do the steps of one role; the first of them leads. */
class PeopleEditsTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private UndoService undo;
  @Autowired private Notices notices;
  @Autowired private WorkdayService workdays;
  private SiteContext site;
  private SiteContext wim;
  private SiteContext ola;
  private int number;

  @BeforeEach
  void anArticleAndTwoWriters() {
    site = emptySite();
    wim = join(site.site(), "Wim Aal", Role.WRITER);
    ola = join(site.site(), "Ola Ek", Role.WRITER);
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Commission eels = new Commission("Eels", post, null, Map.of(), site.today().plusWeeks(9));
    number = articles.commission(site, eels).article().number();
  }

  private void name(int place, Long seen, Long person) {
    naming.name(site, number, new Naming(StepRole.WRITER, place, seen, person));
  }

  private List<Long> writers() {
    return articles.get(site, number).article().writers();
  }

  @Test
  void two_write_one_piece_and_either_may_tick() {
    name(0, null, wim.personId());
    assertThatThrownBy(() -> edits.tick(ola, number, "draft", true))
        .isInstanceOf(ForbiddenException.class);
    name(1, null, ola.personId());

    assertThat(writers()).containsExactly(wim.personId(), ola.personId());
    edits.tick(ola, number, "draft", true);
    edits.tick(wim, number, "draft", false);
    assertThatThrownBy(() -> edits.tick(wim, number, "edit", true))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void whoever_can_start_now_is_told_when_the_last_step_before_is_ticked() {
    name(0, null, wim.personId());
    name(1, null, ola.personId());
    edits.tick(site, number, "brief", true);
    for (SiteContext writer : List.of(wim, ola)) {
      assertThat(notices.of(writer.personId(), 0, 9))
          .filteredOn(notice -> notice.kind() == NoticeKind.STEP_TURN)
          .singleElement()
          .extracting(Notice::text)
          .asString()
          .endsWith("“Write the draft” can start now.");
    }
    edits.tick(ola, number, "draft", true);
    assertThat(notices.of(ola.personId(), 0, 9))
        .filteredOn(notice -> notice.kind() == NoticeKind.STEP_TURN)
        .hasSize(1);
  }

  @Test
  void the_days_of_whoever_leads_decide_the_dates() {
    workdays.setDays(ola.personId(), List.of(1));
    name(0, null, wim.personId());
    PlannedRound alone = articles.planned(site, number);
    name(1, null, ola.personId());
    assertThat(articles.planned(site, number).plan()).isEqualTo(alone.plan());

    name(0, wim.personId(), null);

    assertThat(writers()).containsExactly(ola.personId());
    assertThat(articles.planned(site, number).plan()).isNotEqualTo(alone.plan());
  }

  @Test
  void what_somebody_else_did_meanwhile_is_said() {
    name(0, null, wim.personId());
    assertThatThrownBy(() -> name(0, null, ola.personId())).isInstanceOf(ConflictException.class);
    assertThatThrownBy(() -> name(1, wim.personId(), null)).isInstanceOf(ConflictException.class);
    assertThat(writers()).containsExactly(wim.personId());
  }

  @Test
  void a_stranger_and_somebody_without_the_right_change_nothing() {
    SiteContext stranger = emptySite();
    assertThatThrownBy(() -> name(0, null, stranger.personId()))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(
            () -> naming.name(wim, number, new Naming(StepRole.WRITER, 0, null, wim.personId())))
        .isInstanceOf(ForbiddenException.class);
    assertThat(writers()).isEmpty();
  }

  @Test
  void nobody_stands_twice_and_every_change_is_taken_back() {
    List<Long> people = List.of(site.personId(), wim.personId(), ola.personId());
    Random random = new Random(7);
    List<List<Long>> states = new ArrayList<>(List.of(writers()));
    for (int i = 0; i < 60; i++) {
      List<Long> now = writers();
      int place = random.nextInt(now.size() + 1);
      Long seen = place < now.size() ? now.get(place) : null;
      int whom = random.nextInt(4);
      name(place, seen, whom == 3 ? null : people.get(whom));
      assertThat(writers()).doesNotHaveDuplicates();
      if (!writers().equals(now)) {
        states.add(writers());
      }
    }
    for (int i = states.size() - 1; i > 0; i--) {
      assertThat(writers()).isEqualTo(states.get(i));
      undo.undoLatest(site);
    }
    assertThat(writers()).isEmpty();
  }
}
