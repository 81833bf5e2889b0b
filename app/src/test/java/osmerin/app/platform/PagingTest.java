package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.platform.web.Paging;

class PagingTest {
  @ParameterizedTest
  @CsvSource({
    "1, 120, 1, 3, 0", "3, 120, 3, 3, 100", "99, 120, 3, 3, 100", "0, 120, 1, 3, 0",
    "-7, 0, 1, 1, 0", "1, 50, 1, 1, 0", "2, 51, 2, 2, 50", "2147483647, 51, 2, 2, 50"
  })
  void aPageIsOneThatThereIs(int asked, long total, int page, long pages, int offset) {
    Paging paging = new Paging(asked, 50, total);
    assertThat(paging.page()).isEqualTo(page);
    assertThat(paging.pages()).isEqualTo(pages);
    assertThat(paging.offset()).isEqualTo(offset);
  }

  @Test
  void allPagesTogetherAreTheList() {
    List<Integer> all = IntStream.range(0, 123).boxed().toList();
    List<Integer> together =
        IntStream.rangeClosed(1, 13)
            .mapToObj(page -> new Paging(page, 10, all.size()).of(all))
            .flatMap(List::stream)
            .toList();
    assertThat(together).isEqualTo(all);
    assertThat(new Paging(1, 10, 0).of(List.of())).isEmpty();
  }

  @Test
  void pagesWithoutRowsAreRefused() {
    assertThatThrownBy(() -> new Paging(1, 0, 10)).isInstanceOf(IllegalArgumentException.class);
  }
}
