package osmerin.app.briefs;

import java.util.Optional;
import org.springframework.stereotype.Component;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.SiteContext;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.WordRange;

/** How long an article is to be: what its brief says, else what ranks, else what is usual. */
@Component
public class Lengths {
  private final ArticleTypeService types;

  Lengths(ArticleTypeService types) {
    this.types = types;
  }

  /** The range that holds; empty where nothing says any. */
  public Optional<WordRange> of(SiteContext context, Round round, Brief brief, Evidence drawn) {
    return brief.content().words().or(() -> unlessSet(context, round, drawn));
  }

  /** The range that holds while the brief says none. */
  Optional<WordRange> unlessSet(SiteContext context, Round round, Evidence drawn) {
    return drawn
        .length()
        .or(() -> types.find(context.siteId(), round.typeId()).flatMap(ArticleType::words));
  }
}
