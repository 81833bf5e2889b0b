package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static osmerin.core.runup.RunUpStep.before;

import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.core.runup.RecipeBars.Bar;

class RecipeBarsTest {
  private static final RunUpStep BRIEF = before("brief", "Brief", StepRole.WRITER, 1, 1);
  private static final RunUpStep SOURCES =
      before("sources", "Sources", StepRole.WRITER, 1, 1, "brief");
  private static final RunUpStep DRAFT = before("draft", "Draft", StepRole.WRITER, 6, 3, "brief");
  private static final RunUpStep PROOF =
      before("proof", "Proof", StepRole.EDITOR, 1, 0, "draft", "sources");
  private static final RunUpStep RESULTS =
      RunUpStep.followUp("results", "Results", StepRole.EDITOR, 1, 20);

  @Test
  void the_longest_way_fills_the_days_before_publishing_and_decides() {
    RecipeBars bars = RecipeBars.of(List.of(BRIEF, SOURCES, DRAFT, PROOF, RESULTS));

    assertThat(bars.daysBefore()).isEqualTo(4);
    assertThat(bars.bars())
        .containsExactly(
            new Bar(BRIEF, -4, -4, true),
            new Bar(SOURCES, -3, -3, false),
            new Bar(DRAFT, -3, -1, true),
            new Bar(PROOF, -1, -1, true),
            new Bar(RESULTS, 20, 20, false));
  }

  @Test
  void a_step_with_a_place_of_its_own_stands_there() {
    RunUpStep print =
        new RunUpStep(
            "print", "Print", StepRole.EDITOR, 1, 2, List.of(), -5, false, Completion.HAND);

    assertThat(RecipeBars.of(List.of(print)).bars()).containsExactly(new Bar(print, -6, -5, true));
    assertThat(RecipeBars.of(List.of()).bars()).isEmpty();
    assertThat(RecipeBars.of(List.of(RESULTS)).daysBefore()).isZero();
  }
}
