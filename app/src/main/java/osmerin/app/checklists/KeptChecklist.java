package osmerin.app.checklists;

import java.util.List;
import osmerin.app.history.Kept;
import osmerin.core.checklist.ChecklistItem;

/** The checklist of a type, as history keeps it. */
record KeptChecklist(List<ChecklistItem> items) implements Kept {}
