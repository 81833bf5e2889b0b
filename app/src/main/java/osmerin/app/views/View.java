package osmerin.app.views;

/**
 * A view of a ledger under a name.
 *
 * @param query the part of the ledger's address after the "?"
 * @param shownFirst whether the ledger opens with it
 */
public record View(long id, String name, String query, boolean shownFirst) {}
