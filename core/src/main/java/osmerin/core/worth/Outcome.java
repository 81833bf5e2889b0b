package osmerin.core.worth;

/**
 * What became of an article.
 *
 * @param article its number, which says the fold it is judged in
 * @param difficulty of its group, 0–100
 * @param reached whether it reached page one
 */
public record Outcome(int article, double difficulty, boolean reached) {}
