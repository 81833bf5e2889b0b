package osmerin.app.research;

import osmerin.app.site.SiteContext;

/**
 * An import came or was taken back, or all keywords of a site were grouped anew, in the transaction
 * that is still open.
 */
public record GroupsChanged(SiteContext context) {}
