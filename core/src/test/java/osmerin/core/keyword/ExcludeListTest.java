package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.keyword.ExcludeList.Entry;
import osmerin.core.keyword.ExcludeList.Kind;

class ExcludeListTest {
  private final ExcludeList list =
      new ExcludeList(
          List.of(
              new Entry(Kind.WORDS, "jobs"),
              new Entry(Kind.WORDS, "near me"),
              new Entry(Kind.WORDS, "near the river"),
              new Entry(Kind.KEYWORD, "eel")));

  @ParameterizedTest
  @CsvSource({
    "eel fishing jobs, true",
    "jobs, true",
    "jobsite eels, false",
    "eel traps near me, true",
    "near eels me, false",
    "near near the river, true",
    "me near, false",
    "eel, true",
    "eel trap, false",
  })
  void wordsStandSideBySideAndKeywordsAreWhole(String keyword, boolean excluded) {
    assertThat(list.excludes(keyword)).isEqualTo(excluded);
  }

  @Test
  void knowsItsOwnEntries() {
    assertThat(list.has(new Entry(Kind.WORDS, "near me"))).isTrue();
    assertThat(list.has(new Entry(Kind.WORDS, "near"))).isFalse();
    assertThat(list.has(new Entry(Kind.KEYWORD, "eel"))).isTrue();
    assertThat(list.has(new Entry(Kind.WORDS, "eel"))).isFalse();
    assertThat(list.has(new Entry(Kind.KEYWORD, "jobs"))).isFalse();
  }

  @Test
  void anEmptyListExcludesNothing() {
    assertThat(new ExcludeList(List.of()).excludes("eel")).isFalse();
  }
}
