package osmerin.app.absences;

import osmerin.app.history.Kept;
import osmerin.app.workdays.Reserved;

/** Reserved hours, as history keeps them. */
record KeptReserved(long siteId, int weekday, double hours, String note) implements Kept {
  static KeptReserved of(Reserved reserved) {
    return new KeptReserved(
        reserved.siteId(), reserved.weekday(), reserved.hours(), reserved.note());
  }

  Reserved by(long personId) {
    return new Reserved(0, personId, siteId, weekday, hours, note);
  }
}
