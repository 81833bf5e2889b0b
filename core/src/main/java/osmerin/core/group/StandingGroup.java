package osmerin.core.group;

import java.util.HashSet;
import java.util.Set;

/**
 * A group as it stands before a full run.
 *
 * @param key the caller's name for it
 * @param members normal forms
 * @param pinned members that a person put here; they stay, whatever their pages say
 * @param locked whether it stays as it is, all members and no other
 */
public record StandingGroup(String key, Set<String> members, Set<String> pinned, boolean locked) {
  public StandingGroup {
    members = Set.copyOf(members);
    pinned = Set.copyOf(pinned);
    Set<String> strange = new HashSet<>(pinned);
    strange.removeAll(members);
    if (!strange.isEmpty()) {
      throw new IllegalArgumentException(strange + " are pinned in a group they are not in");
    }
  }

  /** What of it a full run must leave together; without members when nothing must. */
  HeldGroup held() {
    return new HeldGroup(key, locked ? members : pinned, locked);
  }
}
