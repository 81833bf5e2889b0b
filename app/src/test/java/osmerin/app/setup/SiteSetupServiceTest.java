package osmerin.app.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Holiday;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

/** Settings of a site, its holidays, and further sites. */
class SiteSetupServiceTest extends ApplicationTest {
  private static final List<Integer> WEEK = List.of(1, 2, 3, 4, 5);

  @Autowired private SiteSetupService setup;
  @Autowired private UndoService undo;
  private SiteContext owner;

  @BeforeEach
  void startEmpty() {
    owner = emptySite();
  }

  @Test
  void changesAreKeptAndTakenBack() {
    Site before = site();
    assertThat(change("Reedbed", "reedbed.example", "Europe/Oslo", List.of(1, 2, 3))).isEmpty();
    Site after = site();
    assertThat(after.name()).isEqualTo("Reedbed");
    assertThat(after.zone()).isEqualTo("Europe/Oslo");
    assertThat(after.workingWeek()).containsExactly(1, 2, 3);
    assertThat(after.slug()).isEqualTo(before.slug());
    undo.undoLatest(owner);
    assertThat(site().name()).isEqualTo(before.name());
    assertThat(site().workingWeek()).isEqualTo(before.workingWeek());
  }

  @ParameterizedTest
  @CsvSource({"'', UTC, 1, name", "Reed, Atlantis, 1, zone", "Reed, UTC, , week"})
  void aWrongValueIsNamedAndNothingChanges(String name, String zone, Integer day, String field) {
    Site before = site();
    List<Integer> week = day == null ? List.of() : List.of(day);
    assertThat(change(name, "reed.example", zone, week)).containsKey(field);
    assertThat(site()).isEqualTo(before);
  }

  private Map<String, String> change(String name, String address, String zone, List<Integer> week) {
    return setup.change(owner, new SiteSettings(name, address, zone, week), site().version());
  }

  @Test
  void theLaterOfTwoIsToldWhatChanged() {
    int seen = site().version();
    setup.change(owner, new SiteSettings("Reed", "a.example", "UTC", WEEK), seen);
    SiteContext later = sites.findFor(owner.site().slug(), owner.person()).orElseThrow();
    assertThatThrownBy(
            () -> setup.change(later, new SiteSettings("Rush", "a.example", "UTC", WEEK), seen))
        .isInstanceOfSatisfying(
            ConflictException.class,
            c -> {
              assertThat(c.theirs()).contains("Reed");
              assertThat(c.yours()).contains("Rush");
              assertThat(c.who()).startsWith("Una Berg");
            });
  }

  @Test
  void holidaysComeAndGoAndBothAreTakenBack() {
    LocalDate day = owner.today().plusDays(20);
    setup.addHoliday(owner, day, "Harbour day");
    assertThatThrownBy(() -> setup.addHoliday(owner, day, "Again"))
        .isInstanceOf(RefusedException.class);
    undo.undoLatest(owner);
    assertThat(holidays()).isEmpty();
    setup.addHoliday(owner, day, "Harbour day");
    setup.removeHoliday(owner, day);
    undo.undoLatest(owner);
    assertThat(holidays()).extracting(Holiday::name).containsExactly("Harbour day");
    assertThatThrownBy(() -> setup.removeHoliday(owner, day.plusDays(1)))
        .isInstanceOf(NotFoundException.class);
  }

  private List<Holiday> holidays() {
    return sites.holidays(owner.site(), owner.today());
  }

  @Test
  void anOwnerAddsASiteAndNobodyElseDoes() {
    assertThat(setup.add(owner.personId(), "Second " + owner.siteId(), "s.example", "SS", "UTC"))
        .isEmpty();
    List<Site> mine = sites.of(owner.personId());
    assertThat(mine).hasSize(2);
    Site second = mine.stream().filter(s -> s.id() != owner.siteId()).findFirst().orElseThrow();
    assertThat(types.list(second.id(), Kind.NEW)).isNotEmpty();
    assertThat(sites.findFor(second.slug(), owner.person()).orElseThrow().role())
        .isEqualTo(Role.OWNER);
    SiteContext editor = join(owner.site(), "Edda Noor", Role.EDITOR);
    assertThatThrownBy(() -> setup.add(editor.personId(), "Mine", "m.example", "MM", "UTC"))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> setup.addHoliday(editor, owner.today(), "Off"))
        .isInstanceOf(ForbiddenException.class);
  }

  private Site site() {
    return sites.get(owner.siteId());
  }
}
