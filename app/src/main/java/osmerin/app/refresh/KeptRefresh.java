package osmerin.app.refresh;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/** How a refresh was opened, as history keeps it. */
record KeptRefresh(long depthId, @Nullable LocalDate publishDate) implements Kept {}
