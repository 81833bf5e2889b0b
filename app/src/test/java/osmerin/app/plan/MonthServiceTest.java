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
