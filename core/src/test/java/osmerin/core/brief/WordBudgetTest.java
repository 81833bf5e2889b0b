package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;

class WordBudgetTest {
  private static Outline outline(Integer... words) {
    List<Section> sections = new ArrayList<>();
    for (Integer its : words) {
      sections.add(new Section("", "Section " + sections.size(), 0, "", its));
    }
    return new Outline(sections);
  }

  private static List<Integer> words(Outline outline) {
    return outline.sections().stream().map(Section::words).toList();
  }

  @Test
  void anotherTargetKeepsTheShares() {
    assertThat(words(WordBudget.scaled(outline(280, 320, 120, 420, 260), 2_800)))
        .containsExactly(560, 640, 240, 840, 520);
    assertThat(words(WordBudget.scaled(outline(100, null, 300), 800)))
        .containsExactly(200, null, 600);
    assertThat(WordBudget.scaled(outline(null, null), 800)).isEqualTo(outline(null, null));
  }

  @Test
  void thoseWithoutShareWhatTheOthersLeave() {
    assertThat(words(WordBudget.shared(outline(null, null, null), 1_000)))
        .containsExactly(340, 330, 330);
    assertThat(words(WordBudget.shared(outline(400, null, null), 1_000)))
        .containsExactly(400, 300, 300);
    assertThat(words(WordBudget.shared(outline(1_000, null), 1_000))).containsExactly(500, 500);
  }

  @Test
  void budgetsAddUpToTheTargetAndKeepTheirSharesWhateverTheyAre() {
    Random random = new Random(2);
    for (int run = 0; run < 4_000; run++) {
      Integer[] words = new Integer[1 + random.nextInt(12)];
      for (int i = 0; i < words.length; i++) {
        words[i] = random.nextInt(4) == 0 ? null : 1 + random.nextInt(900);
      }
      Outline before = outline(words);
      int target = 40 * words.length + random.nextInt(5_000);
      Outline shared = WordBudget.shared(before, target);
      assertThat(shared.words()).isEqualTo(target);
      assertThat(WordBudget.shared(shared, target)).isEqualTo(shared);
      Outline scaled = WordBudget.scaled(before, target);
      if (before.words() > 0) {
        assertThat(scaled.words()).isEqualTo(target);
        for (int i = 0; i < words.length; i++) {
          int its = scaled.sections().get(i).words() == null ? 0 : scaled.sections().get(i).words();
          double share = words[i] == null ? 0 : (double) words[i] * target / before.words();
          assertThat((double) its).isCloseTo(share, within(20.0));
        }
      }
    }
  }
}
