package osmerin.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.evidence.PageBlock.Kind;

class ReadPageTest {
  private static ReadPage page(PageBlock... blocks) {
    return new ReadPage("a", "A", List.of(blocks), PageSigns.NONE);
  }

  private static PageBlock text(String text, String leftOut) {
    return new PageBlock(Kind.PARAGRAPH, text, leftOut);
  }

  @Test
  void aBlockPutInOrOutByHandBeatsHowItWasRead() {
    ReadPage page = page(text("One two.", null), text("Menu.", "menu"));
    assertThat(page.keptWords()).isEqualTo(2);
    assertThat(page.put(1, true).keptWords()).isEqualTo(3);
    assertThat(page.put(0, false).keptWords()).isZero();
    assertThat(page.put(0, false).keptShare()).isZero();
    assertThat(page.put(1, true).put(1, false)).isEqualTo(page);
  }

  @Test
  void whatWasDecidedHoldsForTheSameTextInALaterReading() {
    ReadPage earlier =
        page(text("One two.", null), text("Menu.", "menu")).put(0, false).put(1, true);
    ReadPage later = page(text("New here.", null), text("Menu.", "menu"), text("One two.", null));
    assertThat(later.decidedAs(earlier).kept())
        .extracting(PageBlock::text)
        .containsExactly("New here.", "Menu.");
    assertThat(later.decidedAs(later)).isEqualTo(later);
  }

  /** Sentence numbers lead back to the block in which the sentence stands. */
  @Test
  void sentencesAreThoseOfTheKeptBlocksOneAfterAnother() {
    Random random = new Random(5);
    for (int run = 0; run < 200; run++) {
      List<PageBlock> blocks = new ArrayList<>();
      for (int i = 0; i < random.nextInt(8); i++) {
        String text = "It rains. ".repeat(1 + random.nextInt(3)).strip();
        blocks.add(
            new PageBlock(
                Kind.values()[random.nextInt(5)], text, random.nextBoolean() ? null : "menu"));
      }
      ReadPage page = page(blocks.toArray(PageBlock[]::new));
      List<String> plain =
          page.kept().stream().flatMap(b -> ReadPage.sentencesOf(b).stream()).toList();
      assertThat(page.sentences()).extracting(ReadPage.Sentence::text).isEqualTo(plain);
      for (int i = 0; i < plain.size(); i++) {
        assertThat(page.sentences().get(i).number()).isEqualTo(i + 1);
      }
    }
  }

  @Test
  void aPageWithoutTextOrWithFarTooMuchHasAFault() {
    assertThat(page().fault()).hasValueSatisfying(why -> assertThat(why).contains("no text"));
    assertThat(page(text("word ".repeat(50_001), null)).fault())
        .hasValueSatisfying(why -> assertThat(why).contains("50,000"));
    assertThat(page(text("word", null)).fault()).isEmpty();
  }
}
