package osmerin.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.frame.Frame.Area;
import osmerin.app.frame.Tideline.Mark;
import osmerin.app.frame.Tideline.Tick;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

class TidelineTest extends ApplicationTest {
  @Autowired private FrameService frames;
  @Autowired private MonthService months;
  @Autowired private ArticleService articles;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void aTickADayAndALongerOneOnMondays() {
    Tideline february = Tideline.of(months.month(site, YearMonth.of(2027, 2)));
    assertThat(february.ticks()).hasSize(28);
    assertThat(february.ticks()).filteredOn(Tick::weekStart).hasSize(4);
    assertThat(february.todayX()).isNegative();
    YearMonth now = YearMonth.from(site.today());
    assertThat(Tideline.of(months.month(site, now)).todayX()).isPositive();
  }

  @Test
  void articlesOfOneDayStandAboveAndBesideEachOther() {
    YearMonth later = YearMonth.from(site.today()).plusMonths(3);
    for (int i = 0; i < 4; i++) {
      commission(later, 10);
    }
    commission(later, 20);
    Tideline line = Tideline.of(months.month(site, later));
    assertThat(line.marks()).hasSize(5);
    assertThat(line.marks()).extracting(m -> m.x() + "," + m.y()).doesNotHaveDuplicates();
    assertThat(line.marks()).allSatisfy(m -> assertThat(m.y()).isBetween(5.0, 40.0));
    Mark first = line.marks().get(0);
    assertThat(first.live()).isFalse();
    assertThat(first.title()).contains(first.reference());
  }

  @Test
  void theCountsOfTheAreasAreTrue() {
    assertThat(frames.frame(site, null).areas())
        .extracting(Area::count)
        .containsExactly("0 open", "0 open", "0 missing", "0 in work", "0 live");
    months.setTargets(site, YearMonth.from(site.today()), null, new Targets(2, 1));
    commission(YearMonth.from(site.today()).plusMonths(4), 5);
    assertThat(frames.frame(site, null).areas())
        .extracting(Area::count)
        .containsExactly("0 open", "0 open", "3 missing", "1 in work", "0 live");
    publishDates.setPublishDate(
        site, 1, YearMonth.from(site.today()).plusMonths(4).atDay(5), site.today(), true);
    Area late = frames.frame(site, null).areas().get(3);
    assertThat(late.count()).isEqualTo("1 late");
    assertThat(late.alarming()).isTrue();
  }

  private void commission(YearMonth month, int day) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("An article", type, null, Map.of(), month.atDay(day)));
  }

  @Test
  void threeOfADayStandAboveEachOtherAndAFourthBeside() {
    YearMonth later = YearMonth.from(site.today()).plusMonths(3);
    for (int i = 0; i < 4; i++) {
      commission(later, 10);
    }
    List<Mark> marks = Tideline.of(months.month(site, later)).marks();
    assertThat(marks.subList(0, 3)).extracting(Mark::x).containsOnly(marks.get(0).x());
    assertThat(marks.subList(0, 3)).extracting(Mark::y).doesNotHaveDuplicates();
    assertThat(marks.get(3).x()).isGreaterThan(marks.get(0).x());
  }

  @Test
  void itShowsTheMonthThatThePageIsAboutAndWhatChangesThere() {
    YearMonth now = YearMonth.from(site.today());
    YearMonth later = now.plusMonths(4);
    assertThat(frames.frame(site, null).tideline().month().month()).isEqualTo(now);
    assertThat(frames.frame(site, later).tideline().month().month()).isEqualTo(later);
    assertThat(frames.frame(site, later).tideline().marks()).isEmpty();
    commission(later, 5);
    assertThat(frames.frame(site, later).tideline().marks()).hasSize(1);
  }
}
