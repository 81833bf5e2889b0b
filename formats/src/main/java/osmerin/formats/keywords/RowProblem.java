package osmerin.formats.keywords;

/**
 * A row that could not be read, or not in whole.
 *
 * @param line where the row begins in the file, 1-based
 * @param text the row's keyword, or the row when it has none, shortened
 * @param reason what was wrong, in words that are the same for all rows of the kind
 * @param value the cell that was wrong, shortened; empty when it was the row
 * @param rejected whether the row was left out; else only the value was
 */
public record RowProblem(long line, String text, String reason, String value, boolean rejected) {}
