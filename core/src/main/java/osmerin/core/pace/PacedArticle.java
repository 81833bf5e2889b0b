package osmerin.core.pace;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Standing;

/**
 * What the pace needs to know of one round of an article.
 *
 * @param publishDate null while it has none
 * @param liveOn the day it went live, null while it has not
 * @param standing how it stands today, as it is told everywhere
 * @param earliest the first day on which it could be published; null when live
 */
public record PacedArticle(
    @Nullable LocalDate publishDate,
    @Nullable LocalDate liveOn,
    Standing standing,
    @Nullable LocalDate earliest) {}
