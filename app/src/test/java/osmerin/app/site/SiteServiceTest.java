package osmerin.app.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.support.ApplicationTest;
import osmerin.core.workday.WorkCalendar;

class SiteServiceTest extends ApplicationTest {
  @ParameterizedTest
  @CsvSource({
    "Marlpit, marlpit",
    "'Loam & Leaf', loam-leaf",
    "Café Zoë, cafe-zoe",
    "'  x  ', x",
    "陶芸, site",
    "CSS, css-site",
    "Welcome!, welcome-site",
    "sign in, sign-in-site"
  })
  void aNameBecomesAnAddress(String name, String slug) {
    assertThat(SiteService.slug(name)).isEqualTo(slug);
  }

  @Test
  void aSiteIsFoundByThoseWhoWorkOnItOnly() {
    SiteContext mine = emptySite();
    SiteContext other = emptySite();
    assertThat(sites.findFor(mine.site().slug(), mine.person())).isPresent();
    assertThat(sites.findFor(mine.site().slug(), other.person())).isEmpty();
    assertThat(sites.findFor("nowhere", mine.person())).isEmpty();
    assertThat(sites.of(mine.personId())).containsExactly(mine.site());
  }

  @Test
  void theCalendarHasTheSitesWeekAndHolidays() {
    Site site = sites.add("Four days", "x.example", "FD", "Asia/Tokyo", List.of(1, 2, 3, 4));
    LocalDate monday = LocalDate.of(2026, 12, 7);
    sites.addHoliday(site, monday, "Day off");
    sites.addHoliday(site, monday, "Named twice");
    WorkCalendar calendar = sites.calendar(site);
    assertThat(calendar.week()).doesNotContain(DayOfWeek.FRIDAY).hasSize(4);
    assertThat(calendar.isWorking(monday)).isFalse();
    assertThat(calendar.isWorking(monday.plusDays(1))).isTrue();
    assertThat(site.zoneId().getId()).isEqualTo("Asia/Tokyo");
  }
}
