package osmerin.app.setup;

import java.util.List;
import osmerin.app.history.Kept;

/**
 * The working week of the site, as history keeps it.
 *
 * @param days from 1, Monday, to 7
 */
record KeptWeek(List<Integer> days) implements Kept {}
