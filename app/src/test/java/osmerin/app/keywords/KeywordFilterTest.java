package osmerin.app.keywords;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import osmerin.app.keywords.KeywordFilter.Shown;
import osmerin.app.keywords.KeywordFilter.Sort;
import osmerin.app.platform.web.Typed;

class KeywordFilterTest {
  @Test
  void withoutAnythingAskedItShowsAllWithTheHighestVolumeFirst() {
    KeywordFilter filter = filter(null, null, null, null);
    assertThat(filter.isAnything()).isFalse();
    assertThat(filter.column()).isEqualTo(Sort.VOLUME);
    assertThat(filter.descending()).isTrue();
    assertThat(filter.isFolded()).isTrue();
    assertThat(filter.isExcluded()).isFalse();
    assertThat(filter.here("/k")).isEqualTo("/k");
    assertThat(filter.shown()).startsWith(Shown.VOLUME, Shown.DIFFICULTY);
  }

  @Test
  void theAddressKeepsEveryFilterAndIsWrittenAsAddressesAre() {
    KeywordFilter filter = filter("a & b {c}", "none", List.of("topic", "volume"), "-difficulty");
    assertThat(filter.here("/k"))
        .isEqualTo("/k?q=a%20%26%20b%20%7Bc%7D&group=none&columns=topic%2Cvolume&sort=-difficulty");
    assertThat(filter.sortedBy("/k", "difficulty")).endsWith("&sort=difficulty");
    assertThat(filter.sortedBy("/k", "keyword")).endsWith("&sort=keyword");
    assertThat(filter.sortedBy("/k", "cost")).endsWith("&sort=-cost");
  }

  @Test
  void aFormCarriesEverythingButTheColumns() {
    assertThat(filter("eel", "none", List.of("topic"), "-cost").hiddenFields())
        .isEqualTo(Map.of("q", "eel", "group", "none", "sort", "-cost"));
  }

  @Test
  void columnsAreThoseChosenInTheirOrderThenTheOthers() {
    KeywordFilter filter = filter(null, null, List.of("topic", "nonsense", "volume", "topic"), "");
    assertThat(filter.shown()).containsExactly(Shown.TOPIC, Shown.VOLUME);
    assertThat(filter.choices()).startsWith(Shown.TOPIC, Shown.VOLUME).hasSize(8);
    assertThat(filter(null, null, List.of("nonsense"), null).shown()).hasSize(7);
  }

  @Test
  void whatWaitsIsAFilterOfItsOwn() {
    KeywordFilter filter = filter(null, "none", null, null);
    assertThat(filter.isWaiting()).isTrue();
    assertThat(filter.isAnything()).isTrue();
    assertThat(filter.isNarrowed()).isFalse();
    assertThat(filter("clay", "none", null, null).isNarrowed()).isTrue();
    assertThat(Typed.number(filter.group())).isNull();
  }

  private static KeywordFilter filter(String q, String group, List<String> columns, String sort) {
    return new KeywordFilter(
        q, null, null, null, null, null, null, null, group, null, null, null, null, null, null,
        columns, sort, null, null);
  }
}
