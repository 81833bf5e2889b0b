package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;
import osmerin.core.text.Verdict;

class OutlineTest {
  @Test
  void sectionsThatHangInTheAirAreLifted() {
    Outline outline =
        new Outline(
            List.of(new Section("A", 2, ""), new Section("B", 2, ""), new Section("C", 0, "")));
    assertThat(outline.sections()).extracting(Section::depth).containsExactly(0, 1, 0);
  }

  @Test
  void refusesSectionsWithoutAHeadingOrTooDeep() {
    assertThatThrownBy(() -> new Section(" ", 0, "")).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Section("A", 3, "")).hasMessageContaining("3");
  }

  @Test
  void aTitleIsHeldAgainstTheWidthOfAResult() {
    assertThat(TitleCheck.of("Cone 6 schedules for a small kiln", "cone 6 schedule").length())
        .isEqualTo(Verdict.MET);
    assertThat(TitleCheck.of("Cone 6", "").length()).isEqualTo(Verdict.PARTLY);
    assertThat(TitleCheck.of("", "").length()).isEqualTo(Verdict.NOT_MET);
    assertThat(TitleCheck.of("M".repeat(40), "").length()).isEqualTo(Verdict.NOT_MET);
    assertThat(TitleCheck.of("i".repeat(60), "").length()).isEqualTo(Verdict.MET);
  }

  @Test
  void aTitleSaysWhetherItHasTheKeyword() {
    assertThat(TitleCheck.of("Schedules for cone 6", "cone 6 schedule").keyword())
        .isEqualTo(Verdict.PARTLY);
    assertThat(TitleCheck.of("Reclaiming clay", "cone 6 schedule").keyword())
        .isEqualTo(Verdict.NOT_MET);
    assertThat(TitleCheck.of("Reclaiming clay", "").keyword()).isEqualTo(Verdict.DOES_NOT_APPLY);
  }
}
