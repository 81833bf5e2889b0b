package osmerin.app.absences;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.workdays.Reserved;
import osmerin.app.workdays.WorkHoursService;
import osmerin.core.runup.HoursText;
import osmerin.core.workday.WorkHours;

/** How many hours people have for articles: everybody says it of themselves, an owner of all. */
@Service
public class HourEdits implements Reversal {
  private static final String A_DAY = "Hours a day";
  private static final String RESERVED = "Reserved hours";
  private static final int LONGEST_NOTE = 100;
  private static final int MOST = 24;
  private static final int MOST_RESERVED = 20;

  private final WorkHoursService hours;
  private final AbsenceEdits absences;
  private final History history;

  HourEdits(WorkHoursService hours, AbsenceEdits absences, History history) {
    this.hours = hours;
    this.absences = absences;
    this.history = history;
  }

  /**
   * Sets the hours of a person's working day.
   *
   * @param typed "6", "7.5 h"; nothing for the usual ones
   */
  @Transactional
  public void setDay(SiteContext context, long personId, String typed) {
    String name = absences.require(context, personId);
    Double wanted = typed.isBlank() ? null : hours(typed);
    Double before = hours.ownDays(context.site()).get(personId);
    if (Objects.equals(before, wanted)) {
      return;
    }
    hours.setDay(personId, wanted);
    history.note(
        context,
        Right.READ,
        "%s has %s a working day.".formatted(name, words(wanted)),
        Change.of(Thing.WORK_HOURS, personId, A_DAY, words(before), words(wanted))
            .keeping(before, wanted));
  }

  private static double hours(String typed) {
    double wanted = HoursText.read(typed).orElseThrow(() -> new RefusedException(HoursText.HINT));
    if (wanted == 0 || wanted > MOST) {
      throw new RefusedException("A day has more than 0 and at most 24 hours.");
    }
    return wanted;
  }

  private static String words(@Nullable Double aDay) {
    return HoursText.of(aDay == null ? WorkHours.USUAL : aDay) + " h";
  }

  /**
   * Keeps hours of each week free of articles.
   *
   * @param weekday from 1, Monday, to 7
   * @param typed "2", "90 min"
   */
  @Transactional
  public void reserve(SiteContext context, long personId, int weekday, String typed, String note) {
    String name = absences.require(context, personId);
    if (weekday < 1 || weekday > 7) {
      throw new RefusedException("Choose the day of the week.");
    }
    if (note.length() > LONGEST_NOTE) {
      throw new RefusedException("A note has at most %s characters.".formatted(LONGEST_NOTE));
    }
    if (of(context, personId).size() >= MOST_RESERVED) {
      throw new RefusedException(
          "At most %s times a week can be reserved for a person.".formatted(MOST_RESERVED));
    }
    Reserved reserved =
        new Reserved(0, personId, context.siteId(), weekday, hours(typed), note.strip());
    hours.reserve(reserved);
    history.note(
        context,
        Right.READ,
        "%s keeps %s free.".formatted(name, words(reserved)),
        Change.of(Thing.WORK_HOURS, personId, RESERVED, null, words(reserved))
            .keeping(null, KeptReserved.of(reserved)));
  }

  private List<Reserved> of(SiteContext context, long personId) {
    return hours.reserved(context.site()).stream().filter(r -> r.personId() == personId).toList();
  }

  /** Gives reserved hours back. */
  @Transactional
  public void release(SiteContext context, long id) {
    Reserved reserved =
        hours.find(id).orElseThrow(() -> new NotFoundException("reserved hours", id));
    String name = absences.require(context, reserved.personId());
    if (!hours.release(id)) {
      throw new NotFoundException("reserved hours", id);
    }
    Reserved seen = shown(context, reserved);
    history.note(
        context,
        Right.READ,
        "%s no longer keeps %s free.".formatted(name, words(seen)),
        Change.of(Thing.WORK_HOURS, reserved.personId(), RESERVED, words(seen), null)
            .keeping(KeptReserved.of(reserved), null));
  }

  /** "2 h every Mon, weekly meeting". */
  private static String words(Reserved reserved) {
    String words =
        HoursText.of(reserved.hours())
            + " h every "
            + AbsenceEdits.words(List.of(reserved.weekday()));
    return reserved.note().isEmpty() ? words : words + ", " + reserved.note();
  }

  /** What for is for the person, and for the site on which it was said. */
  private static Reserved shown(SiteContext context, Reserved reserved) {
    boolean all =
        reserved.siteId() == context.siteId() || reserved.personId() == context.personId();
    return all
        ? reserved
        : new Reserved(
            reserved.id(),
            reserved.personId(),
            reserved.siteId(),
            reserved.weekday(),
            reserved.hours(),
            "");
  }

  /** What the site's people keep free, by person, as the person may see it. */
  Map<Long, List<Reserved>> reserved(SiteContext context) {
    return hours.reserved(context.site()).stream()
        .map(reserved -> shown(context, reserved))
        .collect(Collectors.groupingBy(Reserved::personId));
  }

  @Override
  public Thing thing() {
    return Thing.WORK_HOURS;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long personId = Long.parseLong(key);
    absences.require(context, personId);
    for (Change change : changes) {
      boolean done =
          change.field().equals(A_DAY)
              ? putDay(context, personId, change)
              : putReserved(context, personId, change);
      if (!done) {
        throw new RefusedException("That has been changed since.");
      }
    }
  }

  private boolean putDay(SiteContext context, long personId, Change change) {
    Double now = hours.ownDays(context.site()).get(personId);
    if (!Objects.equals(now == null ? null : now.toString(), change.to())) {
      return false;
    }
    hours.setDay(personId, change.from() == null ? null : Double.valueOf(change.from()));
    return true;
  }

  private boolean putReserved(SiteContext context, long personId, Change change) {
    if (change.from() != null) {
      hours.reserve(change.from(KeptReserved.class).by(personId));
      return true;
    }
    KeptReserved gone = change.to(KeptReserved.class);
    return of(context, personId).stream()
        .filter(r -> KeptReserved.of(r).equals(gone))
        .findFirst()
        .map(r -> hours.release(r.id()))
        .orElse(false);
  }
}
