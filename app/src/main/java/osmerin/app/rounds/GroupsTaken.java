package osmerin.app.rounds;

import java.util.List;
import osmerin.app.site.SiteContext;

/** Keyword groups that an article or a pitch is to answer from now on. */
public record GroupsTaken(SiteContext context, List<Long> groupIds) {}
