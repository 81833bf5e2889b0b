package osmerin.app.groups;

import org.jspecify.annotations.Nullable;

/** A group that is about to change. */
public record GroupState(
    long id, @Nullable Long topicId, String name, int keywords, boolean locked) {}
