package osmerin.app.history;

/**
 * A value of several parts as history keeps it for an undo: a record, stored as JSON with a
 * version. One that is stored is never changed in meaning: what newer code needs is added beside
 * it, absent in older entries, or the older entries are migrated and {@link KeptJson#VERSION}
 * rises.
 */
public interface Kept {}
