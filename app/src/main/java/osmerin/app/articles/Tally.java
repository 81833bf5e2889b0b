package osmerin.app.articles;

/** Rounds in work, and articles that are live. */
public record Tally(long inWork, long live) {}
