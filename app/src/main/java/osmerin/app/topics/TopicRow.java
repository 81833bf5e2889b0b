package osmerin.app.topics;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A topic with its pillar's name. */
public record TopicRow(
    long id,
    String name,
    @Nullable Long pillarGroupId,
    @Nullable String pillar,
    @Nullable Instant focusAt) {}
