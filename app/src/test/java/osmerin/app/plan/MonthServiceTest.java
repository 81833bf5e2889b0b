package osmerin.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.pace.Pace.State;

class MonthServiceTest extends ApplicationTest {
  @Autowired private MonthService months;
  @Autowired private ArticleService articles;
  @Autowired private KeptMonths kept;
  private SiteContext site;
  private YearMonth later;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
    later = YearMonth.from(site.today()).plusMonths(3);
  }

  @Test
  void withoutTargetsNothingIsMissing() {
    Month month = months.month(site, later);
    assertThat(month.missing()).isZero();
    assertThat(month.newArticles().state()).isEqualTo(State.NO_TARGET);
    assertThat(month.rounds()).isEmpty();
  }

  @Test
  void targetsAreKeptByMonthAndCountsFollowFromTheArticles() {
    months.setTargets(site, later, null, new Targets(2, 1));
    commission(later.atDay(15));
    Month month = months.month(site, later);
    assertThat(month.newArticles().planned()).isEqualTo(1);
    assertThat(month.newArticles().missing()).isEqualTo(1);
    assertThat(month.refreshes().missing()).isEqualTo(1);
    assertThat(month.missing()).isEqualTo(2);
    assertThat(months.month(site, later.plusMonths(1)).newArticles().target()).isZero();
    months.setTargets(site, later, null, new Targets(1, 0));
    assertThat(months.month(site, later).newArticles().state()).isEqualTo(State.LEVEL);
    assertThat(months.month(emptySite(), later).newArticles().target()).isZero();
  }

  /** Publishing, commissioning and moving once changed what was expected. */
  @Test
  void whatIsExpectedStaysAsTheMonthBegan() {
    YearMonth now = YearMonth.from(site.today());
    months.setTargets(site, now, null, new Targets(6, 0));
    double byShare = months.month(site, now).newArticles().expected();
    commission(now.atDay(1));
    assertThat(months.month(site, now).newArticles().expected()).isEqualTo(byShare);
    kept.keep(site.siteId(), now);
    double expected = months.month(site, now).newArticles().expected();
    long past = now.atDay(1).isBefore(site.today()) ? 1 : 0;
    assertThat(expected).isGreaterThanOrEqualTo(past);
    commission(now.atDay(1));
    publishDates.setPublishDate(site, 1, now.atDay(1), now.atEndOfMonth(), true);
    edits.archive(site, 2, true);
    kept.keep(site.siteId(), now);
    assertThat(months.month(site, now).newArticles().expected()).isEqualTo(expected);
    months.setTargets(site, now, null, new Targets(9, 0));
    assertThat(months.month(site, now).newArticles().expected()).isGreaterThanOrEqualTo(expected);
    assertThat(months.month(site, now).refreshes().expected()).isZero();
  }

  @Test
  void onlyAMonthThatBeginsTodayIsKept() {
    kept.keepBeginning();
    YearMonth now = YearMonth.from(site.today());
    boolean first = site.today().getDayOfMonth() == 1;
    assertThat(kept.of(site, now).of(Kind.NEW) != null).isEqualTo(first);
    assertThat(kept.of(site, now.minusMonths(1)).of(Kind.NEW)).isNull();
  }

  /** A kind without a date was kept too, as none; only a month that was not kept has no plan. */
  @Test
  void aKeptMonthHasThePublishDatesOfEachKind() {
    commission(later.atDay(20));
    commission(later.atDay(15));
    kept.keep(site.siteId(), later);
    commission(later.atDay(16));
    KeptPlan plan = kept.of(site, later);
    assertThat(plan.of(Kind.NEW)).containsExactlyInAnyOrder(later.atDay(15), later.atDay(20));
    assertThat(plan.of(Kind.REFRESH)).isEmpty();
    assertThat(kept.of(site, later.plusMonths(1)).of(Kind.REFRESH)).isNull();
    assertThat(kept.of(emptySite(), later).of(Kind.NEW)).isNull();
  }

  @Test
  void aTargetIsANumberFromNothingToManyHundred() {
    assertThatThrownBy(() -> months.setTargets(site, later, null, new Targets(-1, 0)))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> months.setTargets(site, later, null, new Targets(0, 1000)))
        .hasMessageContaining("999");
  }

  @Test
  void whatCannotBeDoneInTimeIsAtRiskOnlyIfTheMonthIsLongEnough() {
    YearMonth now = YearMonth.from(site.today());
    months.setTargets(site, now, null, new Targets(1, 0));
    commission(site.today());
    Month month = months.month(site, now);
    assertThat(month.newArticles().planned()).isZero();
    assertThat(month.newArticles().atRisk() + month.newArticles().lost()).isEqualTo(1);
    assertThat(month.rounds())
        .singleElement()
        .satisfies(p -> assertThat(p.standing().state().isLate()).isTrue());
  }

  private void commission(LocalDate date) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("An article", type, null, Map.of(), date));
  }
}
