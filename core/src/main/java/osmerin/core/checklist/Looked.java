package osmerin.core.checklist;

import osmerin.core.draft.DraftCheck;
import osmerin.core.draft.DraftDocument;

/**
 * A draft as it is looked at before publishing.
 *
 * @param check held against its brief
 * @param title that it would be published under
 * @param home address of the site: "marlpit.example"
 */
public record Looked(DraftDocument draft, DraftCheck check, String title, String home) {
  /** Whether a link leads to the site's own pages: without a host, or with the site's. */
  boolean isInside(String address) {
    LinkAddress link = new LinkAddress(address);
    return link.isWithinSite()
        || link.host().isPresent()
            && link.host().equals(new LinkAddress("//" + withoutScheme(home)).host());
  }

  private static String withoutScheme(String address) {
    return address.substring(address.indexOf("://") < 0 ? 0 : address.indexOf("://") + 3);
  }
}
