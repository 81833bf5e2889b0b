package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RecipeTest {
  private static final StepRole SECOND_READER = new StepRole("Second  Reader");
  private static final Set<StepRole> ROLES =
      Set.of(StepRole.STRATEGIST, StepRole.EDITOR, StepRole.WRITER, SECOND_READER);

  @Test
  void one_line_a_step_and_everything_but_the_name_may_be_missing() {
    Recipe recipe =
        typed(
            """
            Write the brief, strategist, 1 h

            Gather sources, 2 h
            Write the draft, 6 h, 3 days, after the brief
            Second reading, second reader, 30 min, same day, after write the draft, sources
            Look at the results, strategist, 20 days after
            """);

    assertThat(recipe.faults()).isEmpty();
    assertThat(recipe.steps())
        .containsExactly(
            RunUpStep.before("write-the-brief", "Write the brief", StepRole.STRATEGIST, 1, 1),
            RunUpStep.before(
                "gather-sources", "Gather sources", StepRole.WRITER, 2, 1, "write-the-brief"),
            RunUpStep.before(
                "write-the-draft", "Write the draft", StepRole.WRITER, 6, 3, "write-the-brief"),
            RunUpStep.before(
                "second-reading",
                "Second reading",
                SECOND_READER,
                0.5,
                0,
                "write-the-draft",
                "gather-sources"),
            RunUpStep.followUp(
                "look-at-the-results", "Look at the results", StepRole.STRATEGIST, 0, 20));
  }

  @Test
  void a_comma_between_digits_is_a_decimal_one() {
    List<RecipeRow> rows =
        RecipeText.rows("Edit, editor, 1,5 h,2 days", Set.of(StepRole.EDITOR), List.of());
    RunUpStep step = Recipe.read(rows, Set.of(StepRole.EDITOR)).steps().get(0);
    assertThat(step.name()).isEqualTo("Edit");
    assertThat(step.estimate()).isEqualTo(1.5);
    assertThat(step.length()).isEqualTo(2);
  }

  @Test
  void a_step_waits_for_one_by_number_name_or_words_of_it() {
    List<String> names = List.of("Edit", "Edit the pictures", "Write the draft");

    assertThat(StepReference.find("edit", names)).isEqualTo(0);
    assertThat(StepReference.find("2", names)).isEqualTo(1);
    assertThat(StepReference.find("the draft", names)).isEqualTo(2);
    assertThat(StepReference.find("pictures", names)).isEqualTo(1);
    assertThat(StepReference.find("the", names)).isNull();
    assertThat(StepReference.find("4", names)).isNull();
  }

  @Test
  void what_is_wrong_is_said_at_its_row() {
    assertThat(typed("Draft, after the moon").faults().get(0))
        .isEqualTo("“the moon” names no single step. Type a step's name or its number.");
    assertThat(typed("Draft, after 2\nEdit").faults().get(0))
        .isEqualTo("It waits for “Edit”, which stands below it. Move one of them.");
    assertThat(typed("Draft, after draft").faults().get(0))
        .isEqualTo("A step can't wait for itself.");
    assertThat(typed("Draft\nShare, 3 days after\nPrint, after share, 2 days before").faults())
        .containsExactly(
            java.util.Map.entry(
                2,
                "It waits for a step after publishing, so it can't be due on or before that day."));
    assertThat(typed("Draft, 501 days before").faults()).containsKey(0);
    assertThat(typed("Draft, 2 days before, 3 days before").faults()).containsKey(0);
    assertThat(typed("Draft, 1001 h").faults()).containsKey(0);
    assertThat(typed("x".repeat(81)).faults()).containsKey(0);
    assertThat(typed("Step\n".repeat(61)).faults()).containsOnlyKeys(60);
    assertThat(read(new RecipeRow("", "Draft", "poet", "", "", "", Completion.HAND)).faults())
        .containsEntry(0, "This site has no role “poet”; add it first.");
    assertThat(read(new RecipeRow("", "Draft", "", "", "", "", Completion.HAND)).faults())
        .containsEntry(0, "Say which role does it.");
    RecipeRow signed =
        new RecipeRow("", "Brief", "writer", "", "", "", Completion.BRIEF_SIGNED_OFF);
    assertThat(read(signed, signed).faults()).containsOnlyKeys(1);
  }

  @Test
  void a_row_keeps_its_key_and_a_new_one_takes_none_that_is_taken() {
    Recipe recipe =
        read(
            new RecipeRow("draft", "Write", "writer", "", "", "", Completion.HAND),
            new RecipeRow("", "Draft", "writer", "", "", "1", Completion.HAND),
            new RecipeRow("", "初稿", "writer", "", "", "2", Completion.HAND));

    assertThat(recipe.steps())
        .extracting(RunUpStep::key)
        .containsExactly("draft", "draft-2", "step");
  }

  @Test
  void every_recipe_is_read_again_from_its_rows_and_from_its_text() {
    Random random = new Random(15);
    for (int i = 0; i < 3_000; i++) {
      List<RunUpStep> steps = steps(random);

      assertThat(Recipe.read(RecipeRow.of(steps), ROLES)).satisfies(r -> isSame(r, steps));
      String text = RecipeText.of(steps);
      assertThat(Recipe.read(RecipeText.rows(text, ROLES, steps), ROLES))
          .as(text)
          .satisfies(r -> isSame(r, steps));
    }
  }

  private static void isSame(Recipe recipe, List<RunUpStep> steps) {
    assertThat(recipe.faults()).isEmpty();
    assertThat(recipe.steps()).isEqualTo(steps);
  }

  private static List<RunUpStep> steps(Random random) {
    List<String> names =
        new ArrayList<>(
            List.of("Edit", "Edit it", "Publish day", "3", "Nothing", "Cut and paste", "Draft"));
    java.util.Collections.shuffle(names, random);
    List<StepRole> roles = List.of(StepRole.EDITOR, StepRole.WRITER, SECOND_READER);
    List<RunUpStep> steps = new ArrayList<>();
    for (int i = 0; i < 1 + random.nextInt(names.size()); i++) {
      Set<String> after = new LinkedHashSet<>();
      for (int n = random.nextInt(3); n > 0 && i > 0; n--) {
        after.add(steps.get(random.nextInt(i)).key());
      }
      boolean afterFollowUp = steps.stream().anyMatch(s -> s.followUp() && after.contains(s.key()));
      Integer offset = random.nextInt(3) > 0 ? null : random.nextInt(5) - (afterFollowUp ? -1 : 2);
      boolean followUp =
          afterFollowUp || offset != null && offset > 0 || offset == null && random.nextInt(4) == 0;
      steps.add(
          new RunUpStep(
              "k" + i,
              names.get(i),
              roles.get(random.nextInt(3)),
              random.nextInt(9) / 4.0,
              random.nextInt(3),
              List.copyOf(after),
              offset,
              followUp,
              i == 0 ? Completion.PUBLISHED : Completion.HAND));
    }
    return steps;
  }

  private static Recipe typed(String text) {
    return Recipe.read(RecipeText.rows(text, ROLES, List.of()), ROLES);
  }

  private static Recipe read(RecipeRow... rows) {
    return Recipe.read(List.of(rows), ROLES);
  }
}
