package osmerin.app.setup;

import java.time.LocalDate;
import osmerin.app.history.Kept;

/** A holiday of the site, as history keeps it. */
record KeptHoliday(LocalDate day, String name) implements Kept {}
