package osmerin.app.runups;

/**
 * The recipe that a round has its steps from.
 *
 * @param version of its type when the round began, or followed it last
 */
public record RoundRecipe(long roundId, int cushion, int version) {}
