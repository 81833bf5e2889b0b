package osmerin.core.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.core.inventory.PageMatch.Basis;
import osmerin.core.inventory.PageMatcher.Page;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.meaning.MadeMeaning;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.text.Language;

class PageMatcherTest {
  @Test
  void rankingPagesDecideBeforeWords() {
    PageMatcher matcher = matcher(page("1", "https://www.eels.example/a/", "Smoked eel"));
    matcher.keyword("trap", Keyword.of("eel trap", 900L, List.of("x.example/1", "eels.example/a")));
    matcher.keyword("trap", Keyword.of("catch eels", 90L, List.of("eels.example/a")));
    List<PageMatch> matches = matcher.matches().get("1");
    assertThat(matches).hasSize(1);
    PageMatch match = matches.get(0);
    assertThat(match.group()).isEqualTo("trap");
    assertThat(match.basis()).isEqualTo(Basis.PAGES);
    assertThat(match.keywords()).isEqualTo(2);
    assertThat(match.best()).isEqualTo(1);
    assertThat(match.sure()).isCloseTo(0.75, within(1e-9));
  }

  @Test
  void aPageThatRanksForTwoGroupsNamesBothTheStrongerFirst() {
    PageMatcher matcher = matcher(page("1", "eels.example/a", "Eels"));
    matcher.keyword("smoke", Keyword.of("smoked eel", 100L, List.of("eels.example/a")));
    matcher.keyword("trap", Keyword.of("eel trap", 900L, List.of("eels.example/a")));
    matcher.keyword("rye", Keyword.of("rye bread", 1L, List.of("a.example", "eels.example/a")));
    assertThat(matcher.matches().get("1"))
        .extracting(PageMatch::group)
        .containsExactly("trap", "smoke");
  }

  @Test
  void wordsOfTheTitleDecideWhereAPageRanksForNothing() {
    PageMatcher matcher =
        matcher(
            page("1", "eels.example/a", "How to build an eel trap that lasts"),
            page("2", "eels.example/2024/smoked-eel", null),
            page("3", "eels.example/about", "About us"));
    PageMatch trap = matcher.matches().get("1").get(0);
    assertThat(trap.group()).isEqualTo("trap");
    assertThat(trap.basis()).isEqualTo(Basis.WORDS);
    assertThat(trap.sure()).isBetween(0.5, 0.95);
    assertThat(matcher.matches().get("2").get(0).group()).isEqualTo("smoke");
    assertThat(matcher.matches().get("3")).isEmpty();
  }

  @Test
  void meaningDecidesBeforeWordsWhereAPageRanksForNothing() {
    MadeMeaning meaning = new MadeMeaning(Map.of("loaf", "bread"));
    List<Phrase> site =
        List.of(phrase("eel trap"), phrase("smoked eel"), phrase("rye bread"), phrase("net"));
    PageMatcher matcher =
        new PageMatcher(
            List.of(
                page("1", "eels.example/a", "rye loaf"),
                page("2", "eels.example/b", "xylophone"),
                page("3", "eels.example/c", "eel trap")),
            Nearness.among(meaning, site),
            Language.ENGLISH);
    matcher.group("trap", "eel trap");
    matcher.group("rye", "rye bread");
    matcher.keyword("rye", Keyword.of("rye bread", 9L, List.of("eels.example/c")));
    PageMatch bread = matcher.matches().get("1").get(0);
    assertThat(bread.group()).isEqualTo("rye");
    assertThat(bread.basis()).isEqualTo(Basis.MEANING);
    assertThat(bread.sure()).isBetween(Nearness.DEFAULT_LEAST, 1.0);
    assertThat(matcher.matches().get("2")).isEmpty();
    assertThat(matcher.matches().get("3").get(0).basis()).isEqualTo(Basis.PAGES);
  }

  private static Phrase phrase(String text) {
    return Phrase.of(text, Language.ENGLISH);
  }

  private static PageMatcher matcher(Page... pages) {
    PageMatcher matcher = new PageMatcher(List.of(pages));
    matcher.group("trap", "eel trap");
    matcher.group("smoke", "smoked eel");
    matcher.group("rye", "rye bread");
    return matcher;
  }

  private static Page page(String key, String address, @Nullable String title) {
    return new Page(key, PageAddress.of(address).orElseThrow(), title);
  }
}
