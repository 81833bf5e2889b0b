package osmerin.app.groups;

import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;

/**
 * Which groups are meant, of those that are not in the archive.
 *
 * @param topicId of one topic; null of all
 * @param intent of one intent; null of any
 * @param openOnly only those that no article answers
 */
public record Among(@Nullable Long topicId, @Nullable SearchIntent intent, boolean openOnly) {
  static final Among ALL = new Among(null, null, false);
}
