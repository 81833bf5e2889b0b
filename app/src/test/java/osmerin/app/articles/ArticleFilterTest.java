package osmerin.app.articles;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.articles.ArticleFilter.Sort;
import osmerin.core.article.Stage;

class ArticleFilterTest {
  private static final ArticleFilter NONE =
      new ArticleFilter(null, null, null, null, null, null, null);

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
    ArticleFilter filter = new ArticleFilter(null, null, null, null, sort, null, null);
    assertThat(filter.column()).isEqualTo(column);
    assertThat(filter.descending()).isEqualTo(descending);
  }

  @Test
  void aSecondClickOnAColumnTurnsTheOrderRound() {
    ArticleFilter filter = new ArticleFilter("bowl", "READY", 7L, "2026-12", "title", 3, 100);
    assertThat(filter.sortedBy("/a", "title"))
        .isEqualTo("/a?q=bowl&stage=READY&person=7&month=2026-12&sort=-title&size=100");
    assertThat(filter.sortedBy("/a", "type")).contains("sort=type").doesNotContain("page=");
    assertThat(filter.onPage("/a", 2)).contains("page=2").contains("sort=title");
  }

  @Test
  void whatIsTypedIsEscapedInTheAddressAndInTheSearch() {
    ArticleFilter filter = new ArticleFilter("50 % & \\more_", null, null, null, null, null, null);
    assertThat(filter.text()).isEqualTo("%50 \\% & \\\\more\\_%");
    assertThat(filter.onPage("/a", 1)).contains("q=50%20%25%20%26%20%5Cmore_");
  }

  @Test
  void nonsenseInTheAddressCountsAsNothingAsked() {
    ArticleFilter filter = new ArticleFilter(" ", "FLYING", null, "2026-99", "x", -5, 7);
    assertThat(filter.isAnything()).isFalse();
    assertThat(filter.limit()).isEqualTo(50);
    assertThat(filter.pageNumber()).isEqualTo(1);
    assertThat(filter.firstDay()).isNull();
  }

  @Test
  void stageMonthAndNumberAreRead() {
    ArticleFilter filter = new ArticleFilter("mp-12", "READY", null, "2026-02", null, 2, 200);
    assertThat(filter.stageAsked()).isEqualTo(Stage.READY);
    assertThat(filter.number()).isEqualTo(12);
    assertThat(filter.lastDay()).hasToString("2026-02-28");
    assertThat(filter.offset()).isEqualTo(200);
    assertThat(new ArticleFilter("12", null, null, "none", null, null, null).number())
        .isEqualTo(12);
  }
}
