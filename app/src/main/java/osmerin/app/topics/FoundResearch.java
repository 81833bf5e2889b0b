package osmerin.app.topics;

import org.jspecify.annotations.Nullable;

/**
 * A topic, group or keyword that was found by its words.
 *
 * @param id of the topic, or of the group; null for a keyword without a group
 */
public record FoundResearch(Kind kind, @Nullable Long id, String name, @Nullable Long searches) {
  /** What it is. */
  public enum Kind {
    TOPIC,
    GROUP,
    KEYWORD
  }
}
