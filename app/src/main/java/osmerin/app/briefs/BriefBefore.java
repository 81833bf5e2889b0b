package osmerin.app.briefs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.StageNeed;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.StageAct;

/** Whether articles have the brief that their type needs before they are written. */
@Component
class BriefBefore implements StageNeed {
  private final BriefMapper briefs;

  BriefBefore(BriefMapper briefs) {
    this.briefs = briefs;
  }

  /** The brief of a round, as far as its type needs one. */
  record HasBrief(long roundId, BriefNeed need, boolean written, boolean signedOff) {}

  @Override
  public StageAct act() {
    return StageAct.SIGN_OFF;
  }

  @Override
  public Map<Long, String> lacking(List<Round> rounds) {
    Map<Long, String> lacks = new HashMap<>();
    if (!rounds.isEmpty()) {
      briefs
          .having(rounds.stream().map(Round::id).toList())
          .forEach(
              has ->
                  has.need()
                      .lack(has.written(), has.signedOff())
                      .ifPresent(lack -> lacks.put(has.roundId(), lack)));
    }
    return lacks;
  }
}
