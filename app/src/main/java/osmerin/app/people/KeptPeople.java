package osmerin.app.people;

import java.util.List;
import osmerin.app.history.Kept;

/** Who does the steps of a role on an article, as history keeps it; whoever leads comes first. */
record KeptPeople(List<Long> ids) implements Kept {}
