package osmerin.app.rounds;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.In;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.Course;
import osmerin.core.runup.PlannedStep;

/** What gets worse for an article when dates or people's days change; people are asked about it. */
public final class Setback {
  private Setback() {}

  /** A sentence for each; none when the article becomes neither late nor impossible nor clashes. */
  public static List<String> of(PlannedRound before, BackPlan after) {
    List<String> words = new ArrayList<>();
    String article = "%s “%s”".formatted(before.round().reference(), before.round().title());
    if (isWorse(before.plan().course(), after.course())) {
      words.add(
          after.course() == Course.IMPOSSIBLE
              ? "%s becomes impossible; the earliest possible date is %s"
                  .formatted(article, In.day(after.earliestPublishDate()))
              : article + " becomes late");
    }
    for (int i = 0; i < after.steps().size(); i++) {
      PlannedStep step = after.steps().get(i);
      if (step.pinConflict() && !before.plan().steps().get(i).pinConflict()) {
        words.add(
            "%s: “%s” is pinned to %s, which clashes then"
                .formatted(article, step.step().name(), In.day(step.due())));
      }
    }
    return words;
  }

  private static boolean isWorse(@Nullable Course before, @Nullable Course after) {
    boolean bad = after == Course.LATE || after == Course.IMPOSSIBLE;
    return bad && (before == null || after.compareTo(before) < 0);
  }
}
