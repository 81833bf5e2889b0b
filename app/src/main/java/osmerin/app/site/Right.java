package osmerin.app.site;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a request does, and the least role that may do it. */
public enum Right {
  /** Open to whoever has the address; what it shows belongs to no site. */
  ANYBODY(null),
  /** Open to whoever was handed a link; what it shows is what the link is for. */
  BY_LINK(null),
  /** A person's own affairs, outside of any site. */
  SIGNED_IN(null),
  /** Seeing the site. */
  READ(Role.WRITER),
  PITCH(Role.WRITER),
  /** Brief, draft, steps and stage: of one's own articles, from an editor up of all. */
  WORK(Role.WRITER),
  /** Articles, dates and people; publishing, signing off, archiving. */
  EDIT(Role.EDITOR),
  COMMISSION(Role.STRATEGIST),
  IMPORT(Role.STRATEGIST),
  TARGETS(Role.STRATEGIST),
  /** People and the site. */
  MANAGE(Role.OWNER);

  private final @Nullable Role least;

  Right(@Nullable Role least) {
    this.least = least;
  }

  /** Whether it concerns a site, so that a role there is needed. */
  public boolean isOfSite() {
    return least != null;
  }

  /** Whether somebody of this role may. */
  public boolean isGivenTo(Role role) {
    return least != null && role.compareTo(least) >= 0;
  }

  /** "an editor, a strategist or an owner". */
  public String who() {
    String roles =
        Arrays.stream(Role.values())
            .filter(this::isGivenTo)
            .map(
                r ->
                    (r == Role.EDITOR || r == Role.OWNER ? "an " : "a ")
                        + r.label().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining(", "));
    int last = roles.lastIndexOf(", ");
    return last < 0 ? roles : roles.substring(0, last) + " or " + roles.substring(last + 2);
  }
}
