package osmerin.app.drafts;

import java.time.Instant;

/**
 * A saved version of a draft; {@code ordinal} counts from 1.
 *
 * @param text Markdown; empty where only the list of versions was asked for
 */
public record DraftVersion(int ordinal, String text, int words, String savedBy, Instant savedAt) {}
