package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import osmerin.core.group.Membership.Basis;
import osmerin.core.keyword.Keyword;

/** Names of which nothing is known decide where the pages of others with them do. */
class TellingWordsTest {
  private static Keyword keyword(String text, String pages) {
    List<String> addresses =
        pages.isEmpty()
            ? List.of()
            : IntStream.range(0, 8).mapToObj(i -> pages + ".example/" + i).toList();
    return Keyword.of(text, 10L, addresses);
  }

  private static List<Keyword> keywords() {
    return new ArrayList<>(
        List.of(
            keyword("zorvik tent", "z"),
            keyword("zorvik tent poles", "z"),
            keyword("zorvik poles", "z"),
            keyword("zorvik groundsheet", "z"),
            keyword("melnar tent", "m"),
            keyword("melnar tent poles", "m"),
            keyword("melnar zip", "m"),
            keyword("repair of a zorvik", ""),
            keyword("melnar groundsheet", ""),
            keyword("tent", "")));
  }

  private static List<String> with(String text, List<KeywordGroup> groups) {
    return groups.stream()
        .map(group -> group.members().stream().map(m -> m.keyword().text()).toList())
        .filter(texts -> texts.contains(text))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aNameTakesAKeywordWithoutPagesToItsGroup() {
    List<KeywordGroup> groups = new Grouping(GroupingSettings.DEFAULT).group(keywords());
    assertThat(with("repair of a zorvik", groups)).contains("zorvik tent");
    assertThat(with("melnar groundsheet", groups)).contains("melnar tent");
    assertThat(groups.stream().flatMap(g -> g.members().stream()))
        .filteredOn(m -> m.keyword().text().equals("repair of a zorvik"))
        .singleElement()
        .satisfies(m -> assertThat(m.basis()).isEqualTo(Basis.WORDS))
        .satisfies(m -> assertThat(m.nearToPrimary()).isNull())
        .satisfies(m -> assertThat(m.sharedWords()).containsExactly("zorvik"));
  }

  @Test
  void neitherOrderNorVolumesMatter() {
    List<List<String>> once = texts(keywords());
    for (int seed = 0; seed < 50; seed++) {
      List<Keyword> shuffled = keywords();
      Collections.shuffle(shuffled, new Random(seed));
      assertThat(texts(shuffled)).containsExactlyInAnyOrderElementsOf(once);
    }
  }

  private static List<List<String>> texts(List<Keyword> keywords) {
    return new Grouping(GroupingSettings.DEFAULT)
        .group(keywords).stream()
            .map(g -> g.members().stream().map(m -> m.keyword().text()).sorted().toList())
            .toList();
  }

  private static Unit unit(boolean fewPages, String... stems) {
    Keyword keyword = keyword(String.join(" ", stems), "");
    return new Unit(List.of(keyword), keyword.normal(), List.of(), fewPages, Set.of(stems), null);
  }

  @Test
  void aWordOfTwoGroupsOrOfTwoKeywordsDecidesNothing() {
    List<Unit> units =
        List.of(
            unit(false, "zorvik", "tent"),
            unit(false, "zorvik", "stove"),
            unit(false, "zorvik", "lamp"),
            unit(false, "melnar", "lamp"),
            unit(false, "melnar", "oil"),
            unit(true, "zorvik"),
            unit(true, "melnar"));
    int[] twoOfThree = {0, 0, 2, 2, 2, 5, 6};
    assertThat(new TellingWords(units, twoOfThree).join(twoOfThree, (unit, group) -> true))
        .containsExactly(twoOfThree);
    int[] all = {0, 0, 0, 2, 2, 5, 6};
    assertThat(new TellingWords(units, all).join(all, (unit, group) -> true))
        .containsExactly(0, 0, 0, 2, 2, 0, 6);
    assertThat(new TellingWords(units, all).join(all, (unit, group) -> false)).containsExactly(all);
  }

  @Test
  void aWishThatDiffersIsNotJoinedByAName() {
    List<Keyword> keywords = keywords();
    keywords.add(keyword("how to clean a zorvik", ""));
    keywords.add(keyword("buy zorvik", ""));
    List<KeywordGroup> groups = new Grouping(GroupingSettings.DEFAULT).group(keywords);
    assertThat(with("buy zorvik", groups)).doesNotContain("how to clean a zorvik");
  }
}
