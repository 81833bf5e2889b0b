package osmerin.app.rounds;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import osmerin.app.platform.web.AskException;
import osmerin.core.article.Stage;
import osmerin.core.article.Stages;
import osmerin.core.text.Counted;

/** Asks before articles come to a stage that takes more for granted than they have. */
@Component
public class Lacking {
  private final List<StageNeed> needs;

  Lacking(List<StageNeed> needs) {
    this.needs = needs;
  }

  /**
   * Asks once for all articles that lack something: a brief, a draft, a date, steps.
   *
   * @throws AskException when one does
   */
  public void ask(Stages stages, Stage to, List<PlannedRound> moved) {
    List<PlannedRound> planned = moved.stream().filter(p -> !p.round().stage().is(to)).toList();
    Map<Long, List<String>> lacks = new HashMap<>();
    for (StageNeed need : needs) {
      List<Round> passing =
          planned.stream()
              .map(PlannedRound::round)
              .filter(round -> stages.isPassed(need.act(), round.stage(), to))
              .toList();
      need.lacking(passing).forEach((round, lack) -> add(lacks, round, lack));
    }
    if (to.isSet()) {
      planned.forEach(p -> addUnset(p, lacks));
    }
    List<PlannedRound> lacking =
        planned.stream().filter(p -> lacks.containsKey(p.round().id())).toList();
    if (lacking.size() == 1) {
      Round one = lacking.get(0).round();
      throw asking(one.reference() + " is", lacks.get(one.id()), to);
    }
    if (!lacking.isEmpty()) {
      List<String> points =
          lacking.stream()
              .map(PlannedRound::round)
              .map(r -> r.reference() + ": " + String.join(", ", lacks.get(r.id())))
              .toList();
      throw asking(Counted.of(lacking.size(), "article") + " are", points, to);
    }
  }

  private static AskException asking(String who, List<String> points, Stage to) {
    return new AskException(
        "%s missing something for %s.".formatted(who, to.label()),
        points,
        "Move to " + to.label() + " anyway");
  }

  /** What waits for its hour has one, and nothing is left to do. */
  private static void addUnset(PlannedRound planned, Map<Long, List<String>> lacks) {
    long id = planned.round().id();
    if (planned.round().publishDate() == null) {
      add(lacks, id, "it has no publish date");
    }
    if (planned.plan().isOpen()) {
      planned.openSteps().forEach(step -> add(lacks, id, "“%s” is to be done".formatted(step)));
    }
  }

  private static void add(Map<Long, List<String>> lacks, long round, String lack) {
    lacks.computeIfAbsent(round, id -> new ArrayList<>()).add(lack);
  }
}
