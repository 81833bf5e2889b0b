package osmerin.app.groups;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.In;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Volume;

/** A group without its keywords. */
public record GroupRow(
    long id,
    @Nullable Long topicId,
    @Nullable String topic,
    String name,
    int keywords,
    @Nullable Long searches,
    @Nullable Long searchesLow,
    @Nullable Long searchesHigh,
    boolean atLeast,
    @Nullable Double difficulty,
    SearchIntent intent,
    FunnelStage funnelStage,
    String intentReason,
    @Nullable Instant archivedAt,
    boolean locked,
    boolean namePinned,
    boolean intentPinned,
    @Nullable Double topicNear,
    List<String> topicWords,
    @Nullable String alsoTopic,
    @Nullable Integer wordTarget) {
  public Demand demand() {
    return new Demand(volume(), atLeast, difficulty);
  }

  public @Nullable Volume volume() {
    return Volume.of(searches, searchesLow, searchesHigh);
  }

  /** Why it is in its topic: "0.61 near this topic: glaze; also fits Kiln". */
  public String topicReason() {
    if (topicNear == null) {
      return "";
    }
    return In.nearness(topicNear)
        + " near this topic"
        + (topicWords.isEmpty() ? "" : ": " + String.join(", ", topicWords))
        + (alsoTopic == null ? "" : "; also fits " + alsoTopic);
  }
}
