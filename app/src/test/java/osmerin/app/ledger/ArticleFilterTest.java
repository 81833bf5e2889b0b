package osmerin.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.ledger.ArticleFilter.Days;
import osmerin.app.ledger.ArticleFilter.Sort;
import osmerin.core.article.Kind;

class ArticleFilterTest {
  private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
  private static final ArticleFilter NONE =
      new ArticleFilter(null, null, null, null, null, null, null, null, null, null, null);

  @Test
  void nothingAskedIsEverythingNewestFirst() {
    assertThat(NONE.isAnything()).isFalse();
    assertThat(NONE.column()).isEqualTo(Sort.NUMBER);
    assertThat(NONE.descending()).isTrue();
    assertThat(NONE.limit()).isEqualTo(50);
    assertThat(NONE.offset()).isZero();
  }

  @ParameterizedTest
  @CsvSource({
    "title, TITLE, false",
    "-title, TITLE, true",
    "publish, PUBLISH, false",
    "drop table, NUMBER, false"
  })
  void theColumnIsOneOfOurs(String sort, Sort column, boolean descending) {
    ArticleFilter filter =
        new ArticleFilter(null, null, null, null, null, null, null, null, sort, null, null);
    assertThat(filter.column()).isEqualTo(column);
    assertThat(filter.descending()).isEqualTo(descending);
  }

  @Test
  void aSecondClickOnAColumnTurnsTheOrderRound() {
    ArticleFilter filter =
        new ArticleFilter("bowl", "READY", 7L, null, "2026-12", null, null, null, "title", 3, 100);
    assertThat(filter.sortedBy("/a", "title"))
        .isEqualTo("/a?q=bowl&stage=READY&person=7&month=2026-12&size=100&sort=-title");
    assertThat(filter.sortedBy("/a", "type")).contains("sort=type").doesNotContain("page=");
    assertThat(filter.onPage("/a", 2)).contains("page=2").contains("sort=title");
  }

  @Test
  void whatIsTypedIsEscapedInTheAddressAndInTheSearch() {
    ArticleFilter filter =
        new ArticleFilter(
            "50 % & \\more_", null, null, null, null, null, null, null, null, null, null);
    assertThat(filter.text()).isEqualTo("%50 \\% & \\\\more\\_%");
    assertThat(filter.onPage("/a", 1)).contains("q=50%20%25%20%26%20%5Cmore_");
  }

  @Test
  void nonsenseInTheAddressCountsAsNothingAsked() {
    ArticleFilter filter =
        new ArticleFilter(" ", "FLYING", null, null, "2026-99", null, null, null, "x", -5, 7);
    assertThat(filter.isAnything()).isFalse();
    assertThat(filter.limit()).isEqualTo(50);
    assertThat(filter.pageNumber()).isEqualTo(1);
    assertThat(filter.days(DAY)).isNull();
  }

  @Test
  void spansMoveWithTheDay() {
    ArticleFilter filter = when("COMING_THREE_WEEKS");
    assertThat(filter.days(DAY)).isEqualTo(new Days(DAY, DAY.plusDays(20)));
    assertThat(filter.days(DAY.plusDays(1)).first()).isEqualTo(DAY.plusDays(1));
    assertThat(when("LAST_FOUR_WEEKS").days(DAY)).isEqualTo(new Days(DAY.minusDays(27), DAY));
    assertThat(filter.isAnything()).isTrue();
    assertThat(filter.onPage("/a", 1)).contains("month=COMING_THREE_WEEKS");
    assertThat(when("COMING_YEARS").isAnything()).isFalse();
  }

  private static ArticleFilter when(String month) {
    return new ArticleFilter(null, null, null, null, month, null, null, null, null, null, null);
  }

  @Test
  void aKindOrATypeIsAskedFor() {
    assertThat(of("REFRESH").kindAsked()).isEqualTo(Kind.REFRESH);
    assertThat(of("17").typeId()).isEqualTo(17);
    assertThat(of("17").kindAsked()).isNull();
    assertThat(of("17").onPage("/a", 1)).contains("type=17");
    for (String nonsense : new String[] {"", "OLD", "-1", "99999999999999999999"}) {
      assertThat(of(nonsense).isAnything()).isFalse();
    }
  }

  private static ArticleFilter of(String type) {
    return new ArticleFilter(null, null, null, type, null, null, null, null, null, null, null);
  }

  @Test
  void columnsAreThoseChosenInTheirOrderAndStayInTheAddress() {
    ArticleFilter filter =
        new ArticleFilter(
            null,
            null,
            null,
            null,
            null,
            3L,
            "Edit & check",
            List.of("next", "topic", "nonsense"),
            null,
            null,
            null);
    assertThat(filter.shown()).containsExactly(ArticleColumn.NEXT, ArticleColumn.TOPIC);
    assertThat(filter.choices())
        .hasSize(ArticleColumn.values().length)
        .startsWith(ArticleColumn.NEXT);
    assertThat(filter.isAnything()).isTrue();
    assertThat(filter.sortedBy("/a", "title"))
        .isEqualTo("/a?topic=3&next=Edit%20%26%20check&columns=next%2Ctopic%2Cnonsense&sort=title");
    assertThat(filter.hiddenFields()).containsOnlyKeys("topic", "next");
    assertThat(of(null).shown()).isEqualTo(ArticleColumn.SHIPPED);
  }

  @Test
  void stageMonthAndNumberAreRead() {
    ArticleFilter filter =
        new ArticleFilter("mp-12", "12", null, null, "2026-02", null, null, null, null, 2, 200);
    assertThat(filter.stageId()).isEqualTo(12);
    assertThat(filter.phaseAsked()).isNull();
    assertThat(filter.number()).isEqualTo(12);
    assertThat(filter.days(DAY).last()).hasToString("2026-02-28");
    assertThat(filter.offset()).isEqualTo(200);
    assertThat(
            new ArticleFilter("12", null, null, null, "none", null, null, null, null, null, null)
                .number())
        .isEqualTo(12);
  }
}
