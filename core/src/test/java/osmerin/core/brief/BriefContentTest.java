package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.WordRange;

class BriefContentTest {
  private static final Outline HIVES =
      new Outline(
          List.of(
              new Section("", "Choosing", 0, "", 300), new Section("", "Building", 0, "", 100)));

  @Test
  void pickingKeepsEveryTitleWhateverIsPicked() {
    Random random = new Random(1);
    BriefContent brief =
        BriefContent.NONE.withTitle("Hives").withTitles(List.of("Bees at home", "Your first hive"));
    Set<String> all = Set.of("Hives", "Bees at home", "Your first hive");
    for (int run = 0; run < 200; run++) {
      String title = List.copyOf(all).get(random.nextInt(3));
      brief = brief.pick(title);
      Set<String> now = new HashSet<>(brief.titles());
      assertThat(brief.workingTitle()).isEqualTo(title);
      assertThat(now.add(title)).isTrue();
      assertThat(now).isEqualTo(all);
      assertThat(brief.titles()).doesNotHaveDuplicates();
    }
  }

  @Test
  void anotherLengthKeepsTheSharesAndNoLengthChangesNothing() {
    BriefContent brief = BriefContent.NONE.withOutline(HIVES);
    assertThat(brief.ofLength(Optional.of(WordRange.of(600, 1_000))).outline().sections())
        .extracting(Section::words)
        .containsExactly(600, 200);
    assertThat(brief.ofLength(Optional.empty())).isEqualTo(brief);
  }

  @Test
  void fillingUpTakesOnlyWhatIsEmpty() {
    BriefContent mine = BriefContent.NONE.withTitle("Mine").withText(BriefPart.READER, "Beginners");
    BriefContent other =
        BriefContent.NONE
            .withTitle("Theirs")
            .withPrimary("hive")
            .withOutline(HIVES)
            .withText(BriefPart.READER, "Experts")
            .withText(BriefPart.ANGLE, "Ours");
    BriefContent filled = mine.filledFrom(other);
    assertThat(filled).isEqualTo(mine.withOutline(HIVES).withText(BriefPart.ANGLE, "Ours"));
    assertThat(filled.filledFrom(other)).isEqualTo(filled);
    assertThat(other.filledFrom(mine)).isEqualTo(other);
  }

  @Test
  void aPartWithATextIsShownThoughItIsOff() {
    BriefContent brief =
        BriefContent.NONE.withText(BriefPart.SLUG, "hives").withText(BriefPart.NOTES, "  ");
    assertThat(brief.shown(EnumSet.of(BriefPart.READER)))
        .containsExactly(BriefPart.READER, BriefPart.SLUG);
    assertThat(brief.withParts(Optional.of(Set.of())).shown(EnumSet.of(BriefPart.READER)))
        .containsExactly(BriefPart.SLUG);
    assertThat(BriefPart.named(BriefPart.names(BriefPart.SHIPPED))).isEqualTo(BriefPart.SHIPPED);
  }
}
