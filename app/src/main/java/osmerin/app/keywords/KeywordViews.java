package osmerin.app.keywords;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.keywords.KeywordViewMapper.ViewRow;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;

/** Views of the keyword ledger that a person keeps under a name: filters, order and columns. */
@Service
public class KeywordViews {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_QUERY = 2_000;
  private static final int MOST = 30;

  private final KeywordViewMapper views;

  KeywordViews(KeywordViewMapper views) {
    this.views = views;
  }

  /** By name. */
  public List<ViewRow> list(SiteContext context) {
    return views.list(context.siteId(), context.personId());
  }

  /** The view that opens first, if the person chose one. */
  public Optional<ViewRow> first(SiteContext context) {
    return views.findFirst(context.siteId(), context.personId());
  }

  /**
   * Keeps a view; one of the same name is replaced.
   *
   * @param query of the ledger's address
   * @param first whether the ledger opens with it
   */
  @Transactional
  public void save(SiteContext context, String name, String query, boolean first) {
    String typed = name.strip();
    if (typed.isEmpty() || typed.length() > LONGEST_NAME) {
      throw new RefusedException("A view's name has 1 to " + LONGEST_NAME + " characters.");
    }
    if (query.length() > LONGEST_QUERY || !query.matches("[^#{}\\s\\\\]*")) {
      throw new RefusedException("These filters are too long, or hold what no address can.");
    }
    long others = list(context).stream().filter(v -> !v.name().equals(typed)).count();
    if (others >= MOST) {
      throw new RefusedException("You have " + MOST + " views. Delete one first.");
    }
    if (first) {
      views.clearFirst(context.siteId(), context.personId());
    }
    views.save(context.siteId(), context.personId(), typed, query, first);
  }

  @Transactional
  public void delete(SiteContext context, long id) {
    if (views.delete(context.siteId(), context.personId(), id) == 0) {
      throw new NotFoundException("view", id);
    }
  }
}
