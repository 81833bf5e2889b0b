package osmerin.app.absences;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
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
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.workdays.Absence;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.article.Kind;
import osmerin.core.runup.Course;
import osmerin.core.runup.StepRole;

/** When people work moves the dates of what they do, and is asked about before. */
class AbsenceEditsTest extends ApplicationTest {
  @Autowired private AbsenceEdits absences;
  @Autowired private WorkdayService workdays;
  @Autowired private ArticleService articles;
  @Autowired private UndoService undo;
  private SiteContext site;
  private SiteContext writer;

  @BeforeEach
  void aSite() {
    site = emptySite();
    writer = join(site.site(), "Wim Aal", Role.WRITER);
  }

  private int commission(LocalDate day) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, writer.personId());
    return articles
        .commission(site, new Commission("Eels", post, null, people, day))
        .article()
        .number();
  }

  private PlannedRound planned(int number) {
    return articles.page(site, number, null).planned();
  }

  private LocalDate monday(int weeks) {
    return site.today().plusWeeks(weeks).with(TemporalAdjusters.next(DayOfWeek.MONDAY));
  }

  private Absence away(LocalDate first, LocalDate last) {
    return new Absence(0, writer.personId(), first, last, "holiday");
  }

  @Test
  void an_absence_that_makes_articles_impossible_is_asked_about_first() {
    int soon = commission(monday(2));
    int later = commission(monday(9));
    Absence absence = away(site.today(), monday(2));

    assertThatThrownBy(() -> absences.add(writer, absence, false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask ->
                assertThat(ask.points())
                    .singleElement()
                    .asString()
                    .contains("-0001 “Eels” becomes impossible; the earliest possible date is"));
    assertThat(planned(soon).plan().course()).isEqualTo(Course.ON_COURSE);

    absences.add(writer, absence, true);
    assertThat(planned(soon).plan().course()).isEqualTo(Course.IMPOSSIBLE);
    assertThat(planned(later).plan().course()).isEqualTo(Course.ON_COURSE);
    undo.undoLatest(writer);
    assertThat(planned(soon).plan().course()).isEqualTo(Course.ON_COURSE);
    undo.redoLatest(writer);
    assertThat(planned(soon).plan().course()).isEqualTo(Course.IMPOSSIBLE);
    long id = workdays.absences(site.site(), site.today()).get(0).id();
    absences.remove(site, id);
    assertThat(planned(soon).plan().course()).isEqualTo(Course.ON_COURSE);
  }

  @Test
  void a_part_time_week_stretches_the_steps_of_whoever_has_it() {
    int number = commission(monday(9));
    LocalDate before = planned(number).plan().steps().get(1).latestStart();

    absences.setDays(writer, writer.personId(), List.of(1, 2), false);

    assertThat(planned(number).plan().steps().get(1).latestStart()).isBefore(before);
    assertThat(planned(number).plan().steps().get(1).due().getDayOfWeek())
        .isIn(DayOfWeek.MONDAY, DayOfWeek.TUESDAY);
    undo.undoLatest(writer);
    assertThat(planned(number).plan().steps().get(1).latestStart()).isEqualTo(before);
  }

  @Test
  void everybody_says_it_of_themselves_and_owners_of_everybody_on_the_site() {
    SiteContext other = join(site.site(), "Ola Ek", Role.EDITOR);
    Absence absence = away(monday(1), monday(1));

    assertThatThrownBy(() -> absences.add(other, absence, false))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> absences.setDays(other, writer.personId(), List.of(1), false))
        .isInstanceOf(ForbiddenException.class);
    absences.add(site, absence, false);
    long id = workdays.absences(site.site(), site.today()).get(0).id();
    assertThatThrownBy(() -> absences.remove(other, id)).isInstanceOf(ForbiddenException.class);
    SiteContext stranger = emptySite();
    assertThatThrownBy(() -> absences.remove(stranger, id)).isInstanceOf(RuntimeException.class);
    assertThat(workdays.absences(site.site(), site.today())).hasSize(1);
  }

  @Test
  void they_hold_on_all_sites_of_the_person() {
    Site second = emptySite().site();
    team.join(second.id(), writer.personId(), Role.WRITER);

    absences.add(writer, away(monday(1), monday(1)), false);

    assertThat(workdays.calendars(second).of(writer.personId()).isWorking(monday(1))).isFalse();
  }

  @Test
  void nonsense_is_refused() {
    List<Absence> nonsense =
        List.of(
            away(monday(2), monday(1)),
            away(monday(1), monday(90)),
            away(site.today().plusYears(3), site.today().plusYears(3).plusDays(1)),
            new Absence(0, writer.personId(), monday(1), monday(1), "x".repeat(101)));
    for (Absence absence : nonsense) {
      assertThatThrownBy(() -> absences.add(writer, absence, true))
          .isInstanceOf(RefusedException.class);
    }
    assertThatThrownBy(() -> absences.setDays(writer, writer.personId(), List.of(), false))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void what_is_said_before_is_what_happens_then() {
    Random random = new Random(15);
    List<Integer> numbers = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      numbers.add(commission(monday(2 + i).plusDays(random.nextInt(5))));
    }
    for (int i = 0; i < 60; i++) {
      LocalDate first = site.today().plusDays(random.nextInt(40));
      Absence absence = away(first, first.plusDays(random.nextInt(12)));
      List<Course> before = numbers.stream().map(n -> planned(n).plan().course()).toList();
      List<String> said = List.of();
      try {
        absences.add(writer, absence, false);
      } catch (AskException ask) {
        said = ask.points();
        absences.add(writer, absence, true);
      }
      List<String> happened = new ArrayList<>();
      for (int n = 0; n < numbers.size(); n++) {
        PlannedRound now = planned(numbers.get(n));
        Course course = now.plan().course();
        boolean bad = course == Course.IMPOSSIBLE || course == Course.LATE;
        if (bad && course.compareTo(before.get(n)) < 0) {
          happened.add(
              course == Course.LATE
                  ? "becomes late"
                  : "becomes impossible; the earliest possible date is "
                      + In.day(now.plan().earliestPublishDate()));
        }
      }
      assertThat(said.stream().map(words -> words.substring(words.indexOf("becomes"))))
          .containsExactlyInAnyOrderElementsOf(happened);
      undo.undoLatest(writer);
    }
  }
}
