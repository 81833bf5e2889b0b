package osmerin.app.rounds;

import java.util.List;
import java.util.Map;
import osmerin.core.article.StageAct;

/** What articles must have before they pass the stage an act leads to. */
public interface StageNeed {
  /** The act. */
  StageAct act();

  /** By the id of a round what it lacks, in words; one that lacks nothing is missing there. */
  Map<Long, String> lacking(List<Round> rounds);
}
