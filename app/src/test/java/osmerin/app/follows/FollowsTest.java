package osmerin.app.follows;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.ui.ConcurrentModel;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.bulk.BulkEdits;
import osmerin.app.bulk.BulkEdits.What;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.Publishing;
import osmerin.app.rounds.Round;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.workday.DayAfter;
import osmerin.core.workday.DayAfterText;
import osmerin.core.workday.WorkCalendar;

/** A date hangs on another's, moves with it, and goes back with it. */
class FollowsTest extends ApplicationTest {
  @Autowired private Follows follows;
  @Autowired private FollowsBeside beside;
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private Publishing publishing;
  @Autowired private UndoService undo;
  @Autowired private History history;
  @Autowired private BulkEdits bulk;
  private SiteContext site;
  private WorkCalendar calendar;
  private LocalDate day;

  @BeforeEach
  void fourArticles() {
    site = emptySite();
    calendar = sites.calendar(site.site());
    day = site.today().plusWeeks(9);
    for (String title : List.of("Eels", "Elvers", "Traps", "Tides")) {
      commission(title, title.equals("Eels") ? day : null);
    }
  }

  private void commission(String title, LocalDate date) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission(title, post, null, Map.of(), date));
  }

  private String on(String rule, int other) {
    return rule + " " + site.site().prefix() + "-" + other;
  }

  private LocalDate date(int number) {
    return articles.get(site, number).publishDate();
  }

  private LocalDate after(LocalDate other, int days) {
    return calendar.plus(other, days);
  }

  @Test
  void it_follows_wherever_the_other_goes_and_back() {
    follows.set(site, 2, on("3 working days after", 1), false);
    follows.set(site, 3, on("the second Thursday after", 2), false);
    DayAfter thursday = DayAfterText.read("second thu after x").orElseThrow().day();
    assertThat(date(2)).isEqualTo(after(day, 3));
    assertThat(date(3)).isEqualTo(thursday.of(date(2), calendar));

    LocalDate later = day.plusWeeks(2);
    publishDates.setPublishDate(site, 1, day, later, false);
    assertThat(date(2)).isEqualTo(after(later, 3));
    assertThat(date(3)).isEqualTo(thursday.of(date(2), calendar));
    undo.undoLatest(site);
    assertThat(date(1)).isEqualTo(day);
    assertThat(date(2)).isEqualTo(after(day, 3));
    undo.redoLatest(site);
    assertThat(date(2)).isEqualTo(after(later, 3));
  }

  @Test
  void once_the_other_is_live_its_day_counts_and_it_moves_no_more() {
    follows.set(site, 2, on("40 working days after", 1), false);
    Round first = articles.get(site, 1);
    drafts.save(site, first, "Words.", 0);
    stageMoves.move(site, 1, stage(site, "Ready"), stage(site, "Commissioned"), true);
    publishing.wasPublishedElsewhere(site, 1, "https://loam.example/eels", site.today());
    assertThat(date(2)).isEqualTo(after(site.today(), 40));
  }

  @Test
  void without_a_day_or_archived_the_date_stays() {
    follows.set(site, 2, on("3 days after", 1), false);
    publishDates.setPublishDate(site, 1, day, null, false);
    assertThat(date(2)).isEqualTo(after(day, 3));
    publishDates.setPublishDate(site, 1, null, day.plusWeeks(1), false);
    assertThat(date(2)).isEqualTo(after(day.plusWeeks(1), 3));
    edits.archive(site, 1, true);
    follows.set(site, 3, on("1 day after", 1), false);
    assertThat(date(3)).isNull();
  }

  @Test
  void circles_other_sites_and_nonsense_are_refused() {
    follows.set(site, 2, on("3 days after", 1), false);
    follows.set(site, 3, on("3 days after", 2), false);
    assertThatThrownBy(() -> follows.set(site, 1, on("1 day after", 3), false))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("circle");
    assertThatThrownBy(() -> follows.set(site, 1, on("1 day after", 1), false))
        .hasMessageContaining("circle");
    assertThatThrownBy(() -> follows.set(site, 1, "1 day after QQ-0001", false))
        .hasMessageContaining("not an article of this site");
    assertThatThrownBy(() -> follows.set(site, 1, on("1 day after", 99), false))
        .isInstanceOf(NotFoundException.class);
    for (String typed : List.of("", "soon", "3 days after", "999 days after MP-1")) {
      assertThatThrownBy(() -> follows.set(site, 4, typed, false))
          .isInstanceOf(RefusedException.class);
    }
    SiteContext writer = join(site.site(), "Wim Aal", Role.WRITER);
    assertThatThrownBy(() -> follows.set(writer, 4, on("1 day after", 1), false))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void a_date_set_by_hand_hangs_on_nothing_and_undo_ties_it_again() {
    follows.set(site, 2, on("3 days after", 1), false);
    publishDates.setPublishDate(site, 2, date(2), day.plusWeeks(5), false);
    publishDates.setPublishDate(site, 1, day, day.plusWeeks(1), false);
    assertThat(date(2)).isEqualTo(day.plusWeeks(5));
    undo.undoLatest(site);
    undo.undoLatest(site);
    publishDates.setPublishDate(site, 1, day, day.plusWeeks(2), false);
    assertThat(date(2)).isEqualTo(after(day.plusWeeks(2), 3));
    follows.letGo(site, 2);
    publishDates.setPublishDate(site, 1, day.plusWeeks(2), day, false);
    assertThat(date(2)).isEqualTo(after(day.plusWeeks(2), 3));
  }

  @Test
  void what_becomes_impossible_by_it_is_asked_about_first() {
    publishDates.setPublishDate(site, 1, day, site.today(), true);
    assertThatThrownBy(() -> follows.set(site, 2, on("1 day after", 1), false))
        .isInstanceOf(AskException.class);
    assertThat(date(2)).isNull();
    publishDates.setPublishDate(site, 1, site.today(), day, true);
    follows.set(site, 2, on("1 day after", 1), false);
    edits.tick(site, 1, "brief", true);
    Round first = articles.get(site, 1);
    articles.planned(site, 1).steps().forEach(step -> edits.tick(site, 1, step.key(), true));
    assertThatThrownBy(
            () -> publishDates.setPublishDate(site, 1, first.publishDate(), site.today(), false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> {
              assertThat(ask.set()).containsKey("allTheSame");
              assertThat(ask.points()).anyMatch(point -> point.contains("“Elvers”"));
            });
    assertThat(date(1)).isEqualTo(day);
  }

  @Test
  void redoing_a_tie_closes_no_circle_and_needs_its_round() {
    follows.set(site, 2, on("3 days after", 1), false);
    long tied = history.entries(site, Asked.ALL, 0, 1).get(0).id();
    undo.undo(site, tied);
    long undone = history.entries(site, Asked.ALL, 0, 1).get(0).id();
    publishDates.setPublishDate(site, 2, null, day, true);
    publishDates.setPublishDate(site, 2, day, null, true);
    follows.set(site, 1, on("3 days after", 2), true);
    assertThatThrownBy(() -> undo.undo(site, undone)).isInstanceOf(RefusedException.class);
    assertThat(tied(2)).isEmpty();
  }

  @Test
  void moved_at_once_with_what_it_follows_it_moves_once_in_whatever_order() {
    follows.set(site, 2, on("3 days after", 1), false);
    follows.set(site, 3, on("3 days after", 2), false);
    for (List<Integer> marked : List.of(List.of(1, 2, 3), List.of(3, 2, 1), List.of(2, 3, 1))) {
      LocalDate before = date(1);
      BulkEdits.Outcome outcome = bulk.change(site, marked, What.DAYS, "7", true);
      assertThat(outcome.left()).isEmpty();
      assertThat(outcome.sentence()).startsWith("3 articles moved");
      assertThat(date(1)).isEqualTo(before.plusDays(7));
      assertThat(date(2)).isEqualTo(after(before.plusDays(7), 3));
      assertThat(date(3)).isEqualTo(after(date(2), 3));
      assertThat(tied(2)).isNotEmpty();
      assertThat(tied(3)).isNotEmpty();
    }
  }

  @Test
  void moved_many_at_once_asks_about_what_follows_too() {
    follows.set(site, 2, on("1 day after", 1), false);
    articles.planned(site, 1).steps().forEach(step -> edits.tick(site, 1, step.key(), true));
    int days = (int) ChronoUnit.DAYS.between(day, site.today());
    assertThatThrownBy(() -> bulk.change(site, List.of(1), What.DAYS, "" + days, false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> assertThat(ask.points()).anyMatch(point -> point.contains("“Elvers”")));
    assertThat(date(1)).isEqualTo(day);
  }

  /** What is previewed is what happens, over random ties and moves; undone all stands as before. */
  @Test
  void previews_tell_the_truth_and_everything_goes_back() {
    Random random = new Random(5);
    List<String> rules = List.of("2 days after", "same day as", "third tue after", "11 days after");
    for (int i = 0; i < 40; i++) {
      List<LocalDate> before = dates();
      int number = 1 + random.nextInt(4);
      boolean changed;
      if (random.nextInt(3) == 0) {
        changed = tie(number, on(rules.get(random.nextInt(4)), 1 + random.nextInt(4)));
      } else {
        LocalDate to = day.plusDays(random.nextInt(60));
        List<String> previewed = follows.previewed(site, articles.get(site, number), to);
        changed = !to.equals(date(number));
        publishDates.setPublishDate(site, number, date(number), to, true);
        assertThat(moved(before, number))
            .containsExactlyInAnyOrderElementsOf(changed ? previewed : List.of());
      }
      if (changed && random.nextBoolean()) {
        undo.undoLatest(site);
        assertThat(dates()).isEqualTo(before);
      }
    }
  }

  private boolean tie(int number, String rule) {
    try {
      String before = dates().toString() + tied(number);
      follows.set(site, number, rule, true);
      return !before.equals(dates().toString() + tied(number));
    } catch (RefusedException e) {
      return false;
    }
  }

  private String tied(int number) {
    ConcurrentModel model = new ConcurrentModel();
    beside.show(site, articles.get(site, number), model);
    FollowsBeside.Line line = (FollowsBeside.Line) model.getAttribute("follows");
    return line == null ? "" : line.words() + line.other().reference();
  }

  private List<LocalDate> dates() {
    List<LocalDate> dates = new ArrayList<>();
    for (int i = 1; i <= 4; i++) {
      dates.add(date(i));
    }
    return dates;
  }

  private List<String> moved(List<LocalDate> before, int but) {
    List<String> moved = new ArrayList<>();
    for (int i = 1; i <= 4; i++) {
      if (i != but && !Objects.equals(before.get(i - 1), date(i))) {
        moved.add("%s moves to %s".formatted(articles.get(site, i).reference(), In.day(date(i))));
      }
    }
    return moved;
  }
}
