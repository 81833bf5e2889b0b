package osmerin.app.grouping;

import osmerin.app.site.SiteContext;

/**
 * An import came or was undone, or all keywords of a site were regrouped, in the transaction that
 * is still open.
 */
public record GroupsChanged(SiteContext context) {}
