package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.evidence.PageBlock.Kind;

class PageKindTest {
  private static PageKind.Read kind(String title, PageSigns signs, int words, String... headings) {
    List<PageBlock> blocks = new ArrayList<>();
    for (String heading : headings) {
      blocks.add(new PageBlock(Kind.HEADING, heading, null));
    }
    String text = String.join(" ", IntStream.range(0, words).mapToObj(i -> "clay").toList());
    blocks.add(new PageBlock(Kind.PARAGRAPH, text, null));
    return PageKind.of(new ReadPage("p", title, blocks, signs));
  }

  @ParameterizedTest
  @CsvSource({
    "How to wedge clay, HOW_TO",
    "12 ways to mend a mug, LIST",
    "The 7 mistakes of the first year, LIST",
    "Stoneware vs earthenware, COMPARISON",
    "The difference between glaze and slip, COMPARISON",
    "What is a bisque firing?, DEFINITION",
    "20 % more clay, DEFINITION",
    "Bisque firing, DEFINITION"
  })
  void titlesTell(String title, PageKind kind) {
    assertThat(kind(title, PageSigns.NONE, 900).kind()).isEqualTo(kind);
  }

  @Test
  void structureTellsWhereTheTitleDoesNot() {
    assertThat(kind("Wedging", PageSigns.NONE, 900, "Step 1: cut", "Step 2: slam").kind())
        .isEqualTo(PageKind.HOW_TO);
    assertThat(kind("Mugs", PageSigns.NONE, 900, "1. Flat", "2. Tall", "3. Old", "4. New").kind())
        .isEqualTo(PageKind.LIST);
    PageSigns steps = new PageSigns(Set.of(), 0, false, 0, 0, 0, 6);
    assertThat(kind("Wedging", steps, 900).reason()).isEqualTo("a numbered list of 6 steps");
  }

  /** Met in manuals: "26.1. SQL Dump" promises nothing. */
  @Test
  void theNumberOfAChapterIsNoPromise() {
    for (String title : new String[] {"26.1. Dumping", "8. Translations", "3) Soil", "100 % rye"}) {
      ReadPage page = new ReadPage("a", title, List.of(), PageSigns.NONE);
      assertThat(PageKind.of(page).kind()).as(title).isEqualTo(PageKind.DEFINITION);
    }
    assertThat(PageKind.of(new ReadPage("a", "The 8 best soils", List.of(), PageSigns.NONE)).kind())
        .isEqualTo(PageKind.LIST);
  }

  @Test
  void aShortListInALongTextIsNoWayOfDoingIt() {
    PageSigns steps = new PageSigns(Set.of(), 0, false, 0, 0, 0, 6);
    for (int words : new int[] {500, 5_000}) {
      List<PageBlock> text = List.of(new PageBlock(Kind.PARAGRAPH, "word ".repeat(words), null));
      assertThat(PageKind.of(new ReadPage("a", "Soil", text, steps)).kind())
          .isEqualTo(words == 500 ? PageKind.HOW_TO : PageKind.DEFINITION);
    }
  }

  @Test
  void whatCanBeDoneOnAPageComesBeforeWhatItIsCalled() {
    String title = "How to choose a kiln";
    assertThat(kind(title, new PageSigns(Set.of("product"), 9, true, 0, 0, 0, 0), 900).kind())
        .isEqualTo(PageKind.SHOP);
    assertThat(kind(title, new PageSigns(Set.of(), 0, false, 14, 0, 0, 0), 900).kind())
        .isEqualTo(PageKind.FORUM);
    assertThat(kind(title, new PageSigns(Set.of(), 0, false, 0, 1, 0, 0), 120).kind())
        .isEqualTo(PageKind.VIDEO);
    assertThat(kind(title, new PageSigns(Set.of(), 0, false, 0, 1, 0, 0), 1_500).kind())
        .isEqualTo(PageKind.HOW_TO);
    assertThat(kind("Clay calculator", new PageSigns(Set.of(), 0, false, 0, 0, 3, 0), 200).kind())
        .isEqualTo(PageKind.TOOL);
  }

  @Test
  void kindsAreCountedAndFewArticlesAreSaid() {
    List<PageKind> kinds = List.of(PageKind.SHOP, PageKind.HOW_TO, PageKind.SHOP, PageKind.FORUM);
    assertThat(PageKind.words(kinds)).isEqualTo("2 shop, 1 how-to, 1 forum");
    assertThat(PageKind.areArticlesFew(kinds)).isTrue();
    assertThat(PageKind.areArticlesFew(List.of(PageKind.SHOP, PageKind.LIST))).isFalse();
    assertThat(PageKind.words(List.of())).isEmpty();
    assertThat(PageKind.areArticlesFew(List.of())).isFalse();
  }
}
