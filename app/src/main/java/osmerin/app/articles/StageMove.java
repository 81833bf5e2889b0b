package osmerin.app.articles;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A move from stage to stage, who made it and when; the first has no stage to come from. */
public record StageMove(
    int ordinal, @Nullable String fromStage, String toStage, String person, Instant at) {}
