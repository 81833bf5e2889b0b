package osmerin.app.workdays;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The days of the week on which a person works.
 *
 * @param days from 1, Monday, to 7; null for those of the site
 */
public record PersonDays(long personId, @Nullable List<Integer> days) {}
