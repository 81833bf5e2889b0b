package osmerin.app.research;

import osmerin.app.site.SiteContext;

/** Keywords of a site were imported, in the transaction that is still open. */
public record KeywordsImported(SiteContext context) {}
