package osmerin.core.runup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static osmerin.core.runup.RunUpStep.before;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class StepFollowingTest {
  private static final RunUpStep BRIEF = before("brief", "Brief", StepRole.WRITER, 1, 1);
  private static final RunUpStep DRAFT = before("draft", "Draft", StepRole.WRITER, 4, 3, "brief");
  private static final RunUpStep EDIT = before("edit", "Edit", StepRole.EDITOR, 1, 1, "draft");
  private static final RunUpStep FACTS = before("facts", "Facts", StepRole.EDITOR, 1, 1, "draft");
  private static final RunUpStep LONGER_EDIT =
      before("edit", "Edit", StepRole.EDITOR, 2, 2, "facts");
  private static final List<RunUpStep> OLD = List.of(BRIEF, DRAFT, EDIT);
  private static final List<RunUpStep> NEW = List.of(BRIEF, DRAFT, FACTS, LONGER_EDIT);

  @Test
  void an_article_that_is_as_its_type_was_becomes_as_it_is() {
    assertThat(StepFollowing.of(OLD, Set.of(), OLD, NEW)).isEqualTo(NEW);
  }

  @Test
  void done_steps_stay() {
    assertThat(StepFollowing.of(OLD, Set.of("brief", "draft", "edit"), OLD, NEW))
        .containsExactly(BRIEF, DRAFT, FACTS, EDIT);
    RunUpStep rest = before("edit", "Edit", StepRole.EDITOR, 1, 1, "draft");
    assertThat(StepFollowing.of(OLD, Set.of("brief"), OLD, List.of(rest(DRAFT), rest)))
        .containsExactly(BRIEF, rest(DRAFT), rest);
  }

  private static RunUpStep rest(RunUpStep step) {
    return before(step.key(), step.name(), step.role(), step.estimate(), step.length());
  }

  @Test
  void what_is_the_articles_own_stays_where_it_was() {
    RunUpStep draw = before("draw", "Draw", StepRole.WRITER, 3, 2, "draft");
    RunUpStep quick = before("draft", "Draft", StepRole.WRITER, 2, 1, "brief");

    assertThat(StepFollowing.of(List.of(BRIEF, quick, draw, EDIT), Set.of(), OLD, NEW))
        .containsExactly(BRIEF, quick, draw, FACTS, LONGER_EDIT);
  }

  @Test
  void who_waited_for_a_step_that_is_gone_waits_for_what_that_waited_for() {
    RunUpStep draw = before("draw", "Draw", StepRole.WRITER, 3, 2, "edit");

    assertThat(StepFollowing.of(List.of(BRIEF, DRAFT, EDIT, draw), Set.of(), OLD, List.of(BRIEF)))
        .containsExactly(BRIEF, before("draw", "Draw", StepRole.WRITER, 3, 2, "brief"));
  }

  @Test
  void a_step_that_only_waits_past_a_dropped_one_is_not_the_articles_own() {
    RunUpStep edit = before("edit", "Edit", StepRole.EDITOR, 2, 2, "facts");
    RunUpStep quicker = before("edit", "Edit", StepRole.EDITOR, 1, 1, "facts");
    List<RunUpStep> type = List.of(BRIEF, DRAFT, FACTS, edit);
    List<RunUpStep> own =
        List.of(BRIEF, DRAFT, before("edit", "Edit", StepRole.EDITOR, 2, 2, "draft"));

    assertThat(StepFollowing.of(own, Set.of(), type, List.of(BRIEF, DRAFT, FACTS, quicker)))
        .containsExactly(BRIEF, DRAFT, before("edit", "Edit", StepRole.EDITOR, 1, 1, "draft"));
  }

  @Test
  void what_does_not_go_together_is_refused() {
    RunUpStep share = RunUpStep.followUp("share", "Share", StepRole.WRITER, 1, 3);
    RunUpStep print =
        new RunUpStep(
            "print", "Print", StepRole.WRITER, 1, 1, List.of("draft"), -2, false, Completion.HAND);
    RunUpStep late =
        new RunUpStep(
            "draft", "Draft", StepRole.WRITER, 4, 3, List.of("share"), null, true, Completion.HAND);

    assertThatThrownBy(
            () ->
                StepFollowing.of(List.of(BRIEF, DRAFT, print), Set.of(), OLD, List.of(share, late)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void whatever_is_changed_the_steps_can_be_done_in_their_order_and_done_ones_stay() {
    Random random = new Random(12);
    for (int i = 0; i < 5_000; i++) {
      List<RunUpStep> old = steps(random, List.of());
      List<RunUpStep> own = random.nextBoolean() ? old : steps(random, old);
      List<RunUpStep> now = steps(random, old);
      Set<String> done = new HashSet<>();
      own.stream().filter(s -> random.nextInt(3) == 0).forEach(s -> done.add(s.key()));

      List<RunUpStep> steps;
      try {
        steps = StepFollowing.of(own, done, old, now);
      } catch (IllegalArgumentException e) {
        continue;
      }

      assertThat(steps).extracting(RunUpStep::key).containsAll(done);
      for (RunUpStep step : own) {
        if (done.contains(step.key())) {
          assertThat(steps)
              .filteredOn(s -> s.key().equals(step.key()))
              .extracting(RunUpStep::estimate)
              .containsExactly(step.estimate());
        }
      }
      if (own == old && done.isEmpty()) {
        assertThat(steps).isEqualTo(now);
      }
      assertThat(StepFollowing.of(steps, done, now, now)).isEqualTo(steps);
    }
  }

  /** Some of the steps of another recipe, changed or not, and some new ones. */
  private static List<RunUpStep> steps(Random random, List<RunUpStep> like) {
    List<RunUpStep> steps = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      String key = "k" + i;
      RunUpStep same = like.stream().filter(s -> s.key().equals(key)).findFirst().orElse(null);
      boolean there =
          steps.stream()
              .map(RunUpStep::key)
              .toList()
              .containsAll(same == null ? List.of() : same.after());
      if (same != null && there && random.nextBoolean()) {
        steps.add(same);
      } else if (random.nextInt(3) > 0) {
        String[] after =
            steps.stream()
                .filter(s -> random.nextInt(3) == 0)
                .map(RunUpStep::key)
                .toArray(String[]::new);
        steps.add(before(key, key, StepRole.WRITER, random.nextInt(4), 1, after));
      }
    }
    return steps;
  }
}
