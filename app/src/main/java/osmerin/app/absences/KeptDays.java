package osmerin.app.absences;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;

/**
 * The days of a person's week, as history keeps them.
 *
 * @param days from 1, Monday, to 7; null for those of the site
 */
record KeptDays(@Nullable List<Integer> days) implements Kept {}
