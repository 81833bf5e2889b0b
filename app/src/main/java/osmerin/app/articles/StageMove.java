package osmerin.app.articles;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Stage;

/** A move from stage to stage, who made it and when; the first has no stage to come from. */
public record StageMove(
    int ordinal, @Nullable Stage fromStage, Stage toStage, String person, Instant at) {}
