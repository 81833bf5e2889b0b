package osmerin.core.pace;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.Course;

/**
 * What the pace needs to know of one round of an article.
 *
 * @param publishDate null while it has none
 * @param liveOn the day it went live, null while it has not
 * @param course how it stands, null when it is live, set or has no date
 * @param set nothing left to do but wait for its hour
 * @param earliest the first day on which it could be published; today for what is set, null when
 *     live
 */
public record PacedArticle(
    @Nullable LocalDate publishDate,
    @Nullable LocalDate liveOn,
    @Nullable Course course,
    boolean set,
    @Nullable LocalDate earliest) {}
