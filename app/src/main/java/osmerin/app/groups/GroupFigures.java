package osmerin.app.groups;

import org.jspecify.annotations.Nullable;
import osmerin.core.coverage.Coverage;
import osmerin.core.coverage.Covered;
import osmerin.core.group.Demand;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Volume;

/**
 * A group without its words: what worth and coverage are worked out from.
 *
 * @param wordTarget of the evidence kept for its primary keyword, null when there is none
 */
record GroupFigures(
    long id,
    @Nullable Long topicId,
    SearchIntent intent,
    int keywords,
    @Nullable Long searches,
    @Nullable Long searchesLow,
    @Nullable Long searchesHigh,
    boolean atLeast,
    @Nullable Double difficulty,
    @Nullable Integer wordTarget) {
  Demand demand() {
    return new Demand(Volume.of(searches, searchesLow, searchesHigh), atLeast, difficulty);
  }

  Covered.Part part(Coverage coverage) {
    return new Covered.Part(keywords, demand(), coverage);
  }
}
