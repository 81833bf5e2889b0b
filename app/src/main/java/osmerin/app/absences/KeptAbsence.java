package osmerin.app.absences;

import java.time.LocalDate;
import osmerin.app.history.Kept;
import osmerin.app.workdays.Absence;

/** An absence, as history keeps it. */
record KeptAbsence(LocalDate first, LocalDate last, String note) implements Kept {
  static KeptAbsence of(Absence absence) {
    return new KeptAbsence(absence.first(), absence.last(), absence.note());
  }
}
