package osmerin.app.runups;

/**
 * A step that is done, and what it took.
 *
 * @param estimate hours that were planned
 * @param hours that it took
 * @param person who did it
 */
public record MeasuredStep(
    long typeId,
    String typeName,
    String key,
    String name,
    double estimate,
    double hours,
    String person) {}
