package osmerin.app.history;

import java.util.List;
import osmerin.app.site.SiteContext;

/** How a feature puts back what it changed. */
public interface Reversal {
  /** The things it knows. */
  Thing thing();

  /**
   * Puts the {@code from} of every change back, in the order given, without an entry of its own.
   *
   * @param key of the thing
   * @throws osmerin.app.platform.web.RefusedException when a value is no longer the {@code to} of
   *     its change, or cannot be put back as things stand
   */
  void reverse(SiteContext context, String key, List<Change> changes);
}
