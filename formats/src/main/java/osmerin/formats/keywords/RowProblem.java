package osmerin.formats.keywords;

/**
 * A row that could not be read, or not in whole.
 *
 * @param line where the row begins in the file, 1-based
 * @param text the row's keyword, or the row when it has none, shortened
 * @param rejected whether the row was left out; else only a cell was
 */
public record RowProblem(long line, String text, String reason, boolean rejected) {}
