package osmerin.core.intent;

/**
 * An intent and funnel stage with the reason for them.
 *
 * @param reason the words that tell, as a phrase to be shown
 */
public record IntentReading(SearchIntent intent, FunnelStage stage, String reason) {}
