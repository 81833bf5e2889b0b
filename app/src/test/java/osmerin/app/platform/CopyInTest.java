package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.support.ApplicationTest;

class CopyInTest extends ApplicationTest {
  @Autowired private CopyIn copy;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private TransactionTemplate transaction;

  @Test
  void everyCharacterArrivesAndNullIsNotEmpty() {
    List<List<Object>> rows =
        List.of(
            Arrays.asList("a, \"b\"\n\\N", List.of("x,y", "\"q\" \\ {z}", "")),
            Arrays.asList("", List.of()),
            Arrays.asList(null, List.of("NULL")),
            Arrays.asList("nul\0here", List.of("é 陶")));
    transaction.executeWithoutResult(
        status -> {
          jdbc.execute(
              "create temporary table copied (id serial, text text, list text[]) on commit drop");
          copy.rows("copied (text, list)", rows, row -> row);
          List<String> texts =
              jdbc.queryForList("select text from copied order by id", String.class);
          assertThat(texts).containsExactly("a, \"b\"\n\\N", "", null, "nulhere");
          List<String> joined =
              jdbc.queryForList(
                  "select array_to_string(list, '·') from copied order by id", String.class);
          assertThat(joined).containsExactly("x,y·\"q\" \\ {z}·", "", "NULL", "é 陶");
          assertThat(
                  jdbc.queryForObject(
                      "select cardinality(list) from copied where id = 1", Integer.class))
              .isEqualTo(3);
        });
  }

  @Test
  void aRowThatDoesNotFitUndoesTheTransaction() {
    assertThatThrownBy(
            () ->
                transaction.executeWithoutResult(
                    status -> {
                      jdbc.execute("create table if not exists half_there (n int)");
                      copy.rows("half_there (n)", List.of("1", "two"), n -> List.of(n));
                    }))
        .isInstanceOf(RuntimeException.class);
    assertThat(jdbc.queryForObject("select to_regclass('half_there') is null", Boolean.class))
        .isTrue();
  }

  @Test
  void idsAscendAndNobodyElseGetsThem() {
    List<Long> first = copy.ids("article", 500);
    List<Long> more = copy.ids("article", 3);
    assertThat(first).hasSize(500).isSorted().doesNotHaveDuplicates();
    assertThat(more).hasSize(3).isSorted().doesNotContainAnyElementsOf(first);
    assertThat(copy.ids("article", 0)).isEmpty();
  }
}
