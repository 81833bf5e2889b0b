package osmerin.app.absences;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
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
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.app.workdays.Absence;
import osmerin.app.workdays.SiteCalendars;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.text.Counted;

/** When people work: everybody says it of themselves, an owner of everybody on the site. */
@Service
public class AbsenceEdits implements Reversal {
  private static final String ABSENCE = "Absence";
  private static final String WEEK = "Working days";
  private static final int LONGEST_NOTE = 100;
  private static final int MOST_DAYS = 366;
  private static final int YEARS_AHEAD = 3;

  private final WorkdayService workdays;
  private final AbsenceEffects effects;
  private final TeamService team;
  private final History history;

  AbsenceEdits(WorkdayService workdays, AbsenceEffects effects, TeamService team, History history) {
    this.workdays = workdays;
    this.effects = effects;
    this.team = team;
    this.history = history;
  }

  /** Whether the person may say when another works. */
  static boolean may(SiteContext context, long personId) {
    return personId == context.personId() || context.may(Right.MANAGE);
  }

  /**
   * The name of a person of whom one may say when they work.
   *
   * @throws ForbiddenException when one may not
   */
  String require(SiteContext context, long personId) {
    String name = team.get(context, personId).name();
    if (!may(context, personId)) {
      throw new ForbiddenException("Only they and owners say when somebody works.");
    }
    return name;
  }

  /**
   * Adds an absence; its id is not asked.
   *
   * @param anyway add it though articles become late or impossible by it
   * @throws AskException with these articles
   */
  @Transactional
  public void add(SiteContext context, Absence absence, boolean anyway) {
    long personId = absence.personId();
    String name = require(context, personId);
    check(context, absence);
    if (!anyway) {
      ask(context, workdays.calendarsWith(context.site(), absence), "Add it anyway");
    }
    workdays.add(personId, absence.first(), absence.last(), absence.note().strip());
    history.note(
        context,
        Right.READ,
        "%s is away %s.".formatted(name, words(absence)),
        Change.of(Thing.WORKDAYS, personId, ABSENCE, null, words(absence))
            .keeping(null, KeptAbsence.of(absence)));
  }

  private static void check(SiteContext context, Absence absence) {
    LocalDate first = absence.first();
    LocalDate last = absence.last();
    if (last.isBefore(first)) {
      throw new RefusedException("The last day is before the first.");
    }
    if (first.plusDays(MOST_DAYS).isBefore(last)
        || last.isAfter(context.today().plusYears(YEARS_AHEAD))) {
      throw new RefusedException(
          "An absence lasts at most %s days and ends within %s years."
              .formatted(MOST_DAYS, YEARS_AHEAD));
    }
    if (absence.note().length() > LONGEST_NOTE) {
      throw new RefusedException("A note has at most %s characters.".formatted(LONGEST_NOTE));
    }
  }

  private void ask(SiteContext context, SiteCalendars calendars, String anyway) {
    List<List<String>> worse = effects.of(context, calendars);
    if (!worse.isEmpty()) {
      throw new AskException(
          "%s of this site would have date problems. Nothing was changed yet."
              .formatted(Counted.of(worse.size(), "article")),
          worse.stream().flatMap(List::stream).toList(),
          anyway);
    }
  }

  /** Takes an absence away. */
  @Transactional
  public void remove(SiteContext context, long id) {
    Absence absence = workdays.absence(id).orElseThrow(() -> new NotFoundException("absence", id));
    String name = require(context, absence.personId());
    if (!workdays.remove(id)) {
      throw new NotFoundException("absence", id);
    }
    history.note(
        context,
        Right.READ,
        "The absence of %s was removed: %s.".formatted(name, words(absence)),
        Change.of(Thing.WORKDAYS, absence.personId(), ABSENCE, words(absence), null)
            .keeping(KeptAbsence.of(absence), null));
  }

  /**
   * Sets the days of a person's week.
   *
   * @param days from 1, Monday, to 7; null for those of the site
   * @throws AskException with the articles that become late or impossible, unless anyway
   */
  @Transactional
  public void setDays(
      SiteContext context, long personId, @Nullable List<Integer> days, boolean anyway) {
    String name = require(context, personId);
    if (days != null && days.isEmpty()) {
      throw new RefusedException("A week has at least one working day.");
    }
    List<Integer> before = workdays.ownDays(context.site()).get(personId);
    if (Objects.equals(before, days)) {
      return;
    }
    if (!anyway) {
      ask(context, workdays.calendarsWith(context.site(), personId, days), "Set them anyway");
    }
    workdays.setDays(personId, days);
    history.note(
        context,
        Right.READ,
        "%s works %s.".formatted(name, words(days)),
        Change.of(Thing.WORKDAYS, personId, WEEK, words(before), words(days))
            .keeping(new KeptDays(before), new KeptDays(days)));
  }

  /** "Mon 30 Nov to Fri 4 Dec 2026, holiday". */
  static String words(Absence absence) {
    String days =
        absence.first().equals(absence.last())
            ? "on " + In.dayAndYear(absence.first())
            : In.day(absence.first()) + " to " + In.dayAndYear(absence.last());
    return absence.note().isBlank() ? days : days + ", " + absence.note().strip();
  }

  /** "Mon, Tue, Thu", or "as the site does". */
  static String words(@Nullable List<Integer> days) {
    return days == null
        ? "as the site does"
        : days.stream()
            .map(d -> DayOfWeek.of(d).getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
            .collect(Collectors.joining(", "));
  }

  @Override
  public Thing thing() {
    return Thing.WORKDAYS;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long personId = Long.parseLong(key);
    require(context, personId);
    for (Change change : changes) {
      boolean done =
          change.field().equals(WEEK)
              ? putDays(context, personId, change)
              : putAbsence(context, personId, change);
      if (!done) {
        throw new RefusedException("That has been changed since.");
      }
    }
  }

  private boolean putDays(SiteContext context, long personId, Change change) {
    List<Integer> now = workdays.ownDays(context.site()).get(personId);
    if (!Objects.equals(now, change.to(KeptDays.class).days())) {
      return false;
    }
    workdays.setDays(personId, change.from(KeptDays.class).days());
    return true;
  }

  private boolean putAbsence(SiteContext context, long personId, Change change) {
    if (change.from() != null) {
      KeptAbsence back = change.from(KeptAbsence.class);
      workdays.add(personId, back.first(), back.last(), back.note());
      return true;
    }
    KeptAbsence gone = change.to(KeptAbsence.class);
    return workdays.absences(context.site(), gone.last()).stream()
        .filter(a -> a.personId() == personId && KeptAbsence.of(a).equals(gone))
        .findFirst()
        .map(a -> workdays.remove(a.id()))
        .orElse(false);
  }

  /** The absences of a site's people from today on, by person. */
  Map<Long, List<Absence>> absences(SiteContext context) {
    return workdays.absences(context.site(), context.today()).stream()
        .collect(Collectors.groupingBy(Absence::personId));
  }
}
