package osmerin.core.group;

import java.util.Set;

/**
 * A group that exists before a run and whose members stay together in it.
 *
 * @param key the caller's name for it, given back with {@link KeywordGroup#keptAs()}
 * @param members normal forms; those that are not among the keywords of a run are passed over
 * @param locked whether it takes no other keyword
 */
public record HeldGroup(String key, Set<String> members, boolean locked) {
  public HeldGroup {
    members = Set.copyOf(members);
  }
}
