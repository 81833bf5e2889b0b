package osmerin.app.runups;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.core.article.Kind;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.ShippedRunUps;

/** Article types and refresh depths with their run-ups. */
@Service
public class ArticleTypeService {
  private final ArticleTypeMapper types;

  ArticleTypeService(ArticleTypeMapper types) {
    this.types = types;
  }

  /** The types, or for refreshes the depths, in their order. */
  public List<ArticleType> list(long siteId, Kind kind) {
    return types.list(siteId, kind);
  }

  /** The run-up of a type. */
  public RunUp runUp(ArticleType type) {
    return new RunUp(type.name(), type.cushion(), types.steps(type.id()));
  }

  /** Gives a new site the types and depths that Osmerin ships. */
  @Transactional
  public void shipTo(long siteId) {
    ship(siteId, Kind.NEW, List.of(ShippedRunUps.POST, ShippedRunUps.GUIDE, ShippedRunUps.REVIEW));
    ship(
        siteId,
        Kind.REFRESH,
        List.of(ShippedRunUps.TOUCH_UP, ShippedRunUps.REWORK, ShippedRunUps.REWRITE));
  }

  private void ship(long siteId, Kind kind, List<RunUp> runUps) {
    for (int i = 0; i < runUps.size(); i++) {
      RunUp runUp = runUps.get(i);
      long type = types.insert(siteId, runUp.name(), kind, i, runUp.cushion());
      for (int s = 0; s < runUp.steps().size(); s++) {
        types.insertStep(type, s, runUp.steps().get(s));
      }
    }
  }
}
