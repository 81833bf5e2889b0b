package osmerin.app.checklists;

import java.time.LocalDate;

/** What a person ticked of a checklist. */
record Tick(String key, LocalDate on, String by) {}
