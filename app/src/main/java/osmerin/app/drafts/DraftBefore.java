package osmerin.app.drafts;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.StageNeed;
import osmerin.core.article.StageAct;

/** Whether articles have a draft before it is handed in. */
@Component
class DraftBefore implements StageNeed {
  private final DraftMapper drafts;

  DraftBefore(DraftMapper drafts) {
    this.drafts = drafts;
  }

  @Override
  public StageAct act() {
    return StageAct.HAND_IN;
  }

  @Override
  public Map<Long, String> lacking(List<Round> rounds) {
    Map<Long, String> lacks = new HashMap<>();
    if (!rounds.isEmpty()) {
      rounds.forEach(round -> lacks.put(round.id(), "there is no draft"));
      drafts.words(List.copyOf(lacks.keySet())).stream()
          .filter(has -> has.words() > 0)
          .forEach(has -> lacks.remove(has.roundId()));
    }
    return lacks;
  }
}
