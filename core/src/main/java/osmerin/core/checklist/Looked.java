package osmerin.core.checklist;

import java.util.Locale;
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
    String plain = address.strip().toLowerCase(Locale.ROOT);
    if (!plain.matches("(https?:)?//.*")) {
      return !plain.matches("[a-z][a-z0-9+.-]*:.*") && !plain.startsWith("#");
    }
    return host(plain.replaceFirst("^(https?:)?//", ""))
        .equals(host(home.toLowerCase(Locale.ROOT)));
  }

  private static String host(String address) {
    return address
        .replaceFirst("^https?://", "")
        .replaceFirst("^www\\.", "")
        .replaceFirst("[/?#:].*$", "");
  }
}
