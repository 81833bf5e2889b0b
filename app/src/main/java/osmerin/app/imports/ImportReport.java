package osmerin.app.imports;

/**
 * What an import did, in numbers.
 *
 * @param read rows of the file below its header
 * @param repeated rows that repeat a keyword of the same file
 * @param rejected rows that could not be read
 * @param excluded new keywords that the exclude list keeps out of sight
 */
public record ImportReport(
    int read, int added, int changed, int unchanged, int repeated, int rejected, int excluded) {}
