package osmerin.core.runup;

import static osmerin.core.runup.Completion.BRIEF_SIGNED_OFF;
import static osmerin.core.runup.Completion.DRAFT_HANDED_IN;
import static osmerin.core.runup.RunUpStep.before;
import static osmerin.core.runup.RunUpStep.followUp;
import static osmerin.core.runup.StepRole.EDITOR;
import static osmerin.core.runup.StepRole.STRATEGIST;
import static osmerin.core.runup.StepRole.WRITER;

import java.util.List;

/** The run-ups a new site starts with. */
public final class ShippedRunUps {
  public static final RunUp GUIDE =
      new RunUp(
          "Guide",
          RunUp.DEFAULT_CUSHION,
          List.of(
              before("brief", "Write the brief", STRATEGIST, 2, 1).completedBy(BRIEF_SIGNED_OFF),
              before("sources", "Gather sources", WRITER, 2, 1, "brief"),
              before("draft", "Write the draft", WRITER, 8, 4, "sources")
                  .completedBy(DRAFT_HANDED_IN),
              before("pictures", "Make pictures", WRITER, 2, 1, "draft"),
              before("edit", "Edit", EDITOR, 3, 2, "draft"),
              before("revise", "Revise", WRITER, 2, 1, "edit"),
              before("proof", "Read the proof", EDITOR, 1, 0, "revise", "pictures"),
              followUp("results", "Look at the first results", STRATEGIST, 0.5, 10)));

  public static final RunUp POST =
      new RunUp(
          "Post",
          RunUp.DEFAULT_CUSHION,
          List.of(
              before("brief", "Write the brief", STRATEGIST, 1, 1).completedBy(BRIEF_SIGNED_OFF),
              before("draft", "Write the draft", WRITER, 4, 2, "brief")
                  .completedBy(DRAFT_HANDED_IN),
              before("pictures", "Make pictures", WRITER, 1, 0, "draft"),
              before("edit", "Edit", EDITOR, 1.5, 1, "draft"),
              before("proof", "Read the proof", EDITOR, 0.5, 0, "edit", "pictures")));

  public static final RunUp REVIEW =
      new RunUp(
          "Review",
          RunUp.DEFAULT_CUSHION,
          List.of(
              before("brief", "Write the brief", STRATEGIST, 1, 1).completedBy(BRIEF_SIGNED_OFF),
              before("trial", "Try it out", WRITER, 5, 3, "brief"),
              before("draft", "Write the draft", WRITER, 5, 2, "trial")
                  .completedBy(DRAFT_HANDED_IN),
              before("pictures", "Make pictures", WRITER, 1.5, 1, "trial"),
              before("facts", "Check facts and prices", EDITOR, 1, 1, "draft"),
              before("edit", "Edit", EDITOR, 2, 1, "facts"),
              before("proof", "Read the proof", EDITOR, 0.5, 0, "edit", "pictures"),
              followUp("prices", "Check prices again", EDITOR, 0.5, 20)));

  public static final RunUp TOUCH_UP =
      new RunUp(
          "Touch-up",
          1,
          List.of(
              before("review", "Read what is live", WRITER, 0.5, 1),
              before("change", "Change the text", WRITER, 1.5, 0, "review"),
              before("proof", "Read the proof", EDITOR, 0.5, 1, "change")));

  public static final RunUp REWORK =
      new RunUp(
          "Rework",
          RunUp.DEFAULT_CUSHION,
          List.of(
              before("review", "Read what is live", STRATEGIST, 1, 1),
              before("brief", "Bring the brief up to date", STRATEGIST, 1, 0, "review")
                  .completedBy(BRIEF_SIGNED_OFF),
              before("draft", "Rework the draft", WRITER, 4, 2, "brief")
                  .completedBy(DRAFT_HANDED_IN),
              before("edit", "Edit", EDITOR, 1.5, 1, "draft"),
              before("proof", "Read the proof", EDITOR, 0.5, 0, "edit"),
              followUp("results", "Look at what it gained", STRATEGIST, 0.5, 20)));

  public static final RunUp REWRITE =
      new RunUp(
          "Rewrite",
          RunUp.DEFAULT_CUSHION,
          List.of(
              before("brief", "Write a new brief", STRATEGIST, 2, 1).completedBy(BRIEF_SIGNED_OFF),
              before("draft", "Write the draft", WRITER, 8, 4, "brief")
                  .completedBy(DRAFT_HANDED_IN),
              before("pictures", "Make pictures", WRITER, 1.5, 1, "draft"),
              before("edit", "Edit", EDITOR, 2.5, 2, "draft"),
              before("revise", "Revise", WRITER, 1.5, 1, "edit"),
              before("proof", "Read the proof", EDITOR, 1, 0, "revise", "pictures"),
              followUp("results", "Look at what it gained", STRATEGIST, 0.5, 20)));

  private ShippedRunUps() {}
}
