package osmerin.core.intent;

/** How near a reader is to a decision. */
public enum FunnelStage {
  AWARENESS,
  CONSIDERATION,
  DECISION
}
