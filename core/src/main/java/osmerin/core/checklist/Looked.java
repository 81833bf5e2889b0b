package osmerin.core.checklist;

import java.util.Optional;
import osmerin.core.draft.DraftCheck;
import osmerin.core.draft.DraftDocument;
import osmerin.core.keyword.PageAddress;

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
    Optional<String> host = link.host();
    return link.isWithinSite()
        || host.isPresent() && host.equals(PageAddress.of(home).map(PageAddress::host));
  }
}
