package osmerin.app.absences;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.workdays.Reserved;
import osmerin.app.workdays.WorkHoursService;
import osmerin.core.workday.WorkHours;

/** Hours that people have for articles belong to the person and hold on all their sites. */
class HourEditsTest extends ApplicationTest {
  @Autowired private HourEdits edits;
  @Autowired private WorkHoursService hours;
  @Autowired private UndoService undo;
  private SiteContext site;
  private SiteContext wim;

  @BeforeEach
  void aWriter() {
    site = emptySite();
    wim = join(site.site(), "Wim Aal", Role.WRITER);
  }

  private WorkHours hours(Site of) {
    return hours.hours(of).getOrDefault(wim.personId(), WorkHours.FULL);
  }

  @Test
  void hours_of_a_day_less_what_is_reserved() {
    edits.setDay(wim, wim.personId(), "6 h");
    edits.reserve(wim, wim.personId(), 1, "90 min", "weekly meeting");
    edits.reserve(site, wim.personId(), 1, "0.5", "");

    WorkHours expected = new WorkHours(6, Map.of(DayOfWeek.MONDAY, 2.0));
    assertThat(hours(site.site())).isEqualTo(expected);
    undo.undoLatest(site);
    undo.undoLatest(wim);
    assertThat(hours(site.site())).isEqualTo(new WorkHours(6, Map.of()));
    undo.undoLatest(wim);
    assertThat(hours(site.site())).isEqualTo(WorkHours.FULL);
    undo.redoLatest(wim);
    undo.redoLatest(wim);
    assertThat(hours(site.site()).reserved()).containsEntry(DayOfWeek.MONDAY, 1.5);
    edits.setDay(wim, wim.personId(), " ");
    assertThat(hours(site.site()).aDay()).isEqualTo(WorkHours.USUAL);
  }

  @Test
  void another_site_sees_that_hours_are_taken_and_not_what_for() {
    SiteContext other = emptySite();
    team.join(other.siteId(), wim.personId(), Role.WRITER);
    edits.reserve(wim, wim.personId(), 5, "4", "accounts");

    Reserved theirs = edits.reserved(other).get(wim.personId()).get(0);
    assertThat(theirs.hours()).isEqualTo(4);
    assertThat(theirs.note()).isEmpty();
    assertThat(edits.reserved(site).get(wim.personId()).get(0).note()).isEqualTo("accounts");
    assertThat(hours(other.site()).reserved()).containsEntry(DayOfWeek.FRIDAY, 4.0);

    edits.release(other, theirs.id());
    undo.undoLatest(other);
    assertThat(edits.reserved(other).get(wim.personId()).get(0).note()).isEmpty();
    assertThat(edits.reserved(site).get(wim.personId()).get(0).note()).isEqualTo("accounts");
  }

  @Test
  void everybody_says_it_of_themselves_and_owners_of_all() {
    SiteContext ola = join(site.site(), "Ola Ek", Role.EDITOR);
    assertThatThrownBy(() -> edits.setDay(ola, wim.personId(), "4"))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> edits.reserve(ola, wim.personId(), 1, "4", ""))
        .isInstanceOf(ForbiddenException.class);
    edits.reserve(site, wim.personId(), 1, "4", "");
    long id = hours.reserved(site.site()).get(0).id();
    assertThatThrownBy(() -> edits.release(ola, id)).isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> edits.release(emptySite(), id)).isInstanceOf(RuntimeException.class);
    assertThat(hours.reserved(site.site())).hasSize(1);
  }

  @Test
  void nonsense_is_refused() {
    for (String typed : List.of("0", "25", "lots", "-1")) {
      assertThatThrownBy(() -> edits.setDay(wim, wim.personId(), typed))
          .isInstanceOf(RefusedException.class);
      assertThatThrownBy(() -> edits.reserve(wim, wim.personId(), 1, typed, ""))
          .isInstanceOf(RefusedException.class);
    }
    assertThatThrownBy(() -> edits.reserve(wim, wim.personId(), 8, "1", ""))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> edits.reserve(wim, wim.personId(), 1, "1", "x".repeat(101)))
        .isInstanceOf(RefusedException.class);
    for (int i = 0; i < 20; i++) {
      edits.reserve(wim, wim.personId(), 1, "1", "");
    }
    assertThatThrownBy(() -> edits.reserve(wim, wim.personId(), 1, "1", ""))
        .isInstanceOf(RefusedException.class);
  }
}
