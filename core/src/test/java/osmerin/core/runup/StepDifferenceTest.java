package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static osmerin.core.runup.RunUpStep.before;

import java.util.List;
import org.junit.jupiter.api.Test;

class StepDifferenceTest {
  private static final RunUpStep DRAFT = before("draft", "Draft", StepRole.WRITER, 4, 3);
  private static final RunUpStep EDIT = before("edit", "Edit", StepRole.EDITOR, 1.5, 1, "draft");
  private static final RunUpStep PROOF = before("proof", "Proof", StepRole.EDITOR, 1, 0, "edit");

  @Test
  void what_is_the_same_does_not_differ() {
    assertThat(StepDifference.of(List.of(DRAFT, EDIT), List.of(DRAFT, EDIT))).isEmpty();
  }

  @Test
  void each_difference_is_said_once() {
    RunUpStep longer = before("edit", "Edit", StepRole.WRITER, 3, 2, "draft");
    RunUpStep draw = before("draw", "Draw", StepRole.WRITER, 1, 1, "draft");
    RunUpStep proof = before("proof", "Proof", StepRole.EDITOR, 1, 0, "edit", "draw");

    assertThat(StepDifference.of(List.of(DRAFT, EDIT, PROOF), List.of(DRAFT, draw, longer, proof)))
        .containsExactly(
            "“Draw” added",
            "“Edit”: writer instead of editor, 3 h instead of 1.5 h, 2 days instead of 1 day");
    assertThat(StepDifference.of(List.of(DRAFT, EDIT), List.of(DRAFT)))
        .containsExactly("“Edit” dropped");
    assertThat(StepDifference.of(List.of(DRAFT, PROOF), List.of(PROOF, DRAFT)))
        .containsExactly("in another order");
  }
}
