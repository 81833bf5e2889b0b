package osmerin.app.views;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;

/** Views of a ledger that a person keeps under a name: filters, order and columns. */
@Service
public class Views {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_QUERY = 2_000;
  private static final int MOST = 30;

  private final ViewMapper views;

  Views(ViewMapper views) {
    this.views = views;
  }

  /** By name. */
  public List<View> list(SiteContext context, Ledger ledger) {
    return views.list(context.siteId(), context.personId(), ledger);
  }

  /** The view that opens first, if the person chose one. */
  public Optional<View> first(SiteContext context, Ledger ledger) {
    return views.findFirst(context.siteId(), context.personId(), ledger);
  }

  /**
   * Keeps a view; one of the same name is replaced.
   *
   * @param query of the ledger's address; empty for everything
   * @param first whether the ledger opens with it
   */
  @Transactional
  public void save(SiteContext context, Ledger ledger, String name, String query, boolean first) {
    String typed = name.strip();
    if (typed.isEmpty() || typed.length() > LONGEST_NAME) {
      throw new RefusedException("A view's name has 1 to " + LONGEST_NAME + " characters.");
    }
    if (query.length() > LONGEST_QUERY || !query.matches("[^#{}\\s\\\\]*")) {
      throw new RefusedException("These filters are too long, or hold what no address can.");
    }
    long others = list(context, ledger).stream().filter(v -> !v.name().equals(typed)).count();
    if (others >= MOST) {
      throw new RefusedException("You have " + MOST + " views. Delete one first.");
    }
    if (first) {
      views.clearFirst(context.siteId(), context.personId(), ledger);
    }
    String kept = query.isBlank() ? ledger.everything() : query;
    views.save(
        new ViewMapper.Saved(context.siteId(), context.personId(), ledger, typed, kept, first));
  }

  @Transactional
  public void delete(SiteContext context, Ledger ledger, long id) {
    if (views.delete(context.siteId(), context.personId(), ledger, id) == 0) {
      throw new NotFoundException("view", id);
    }
  }
}
