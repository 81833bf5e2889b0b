package osmerin.app.absences;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Person;
import osmerin.app.team.TeamService;
import osmerin.app.workdays.Absence;
import osmerin.app.workdays.WorkHoursService;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.workday.WorkHours;

/** Who works when: the weeks of the site's people, and when they are away. */
@Controller
@RequestMapping("/{site}/absences")
class AbsenceController {
  private final AbsenceEdits edits;
  private final WorkdayService workdays;
  private final WorkHoursService hours;
  private final HourEdits hourEdits;
  private final TeamService team;

  AbsenceController(
      AbsenceEdits edits,
      WorkdayService workdays,
      WorkHoursService hours,
      HourEdits hourEdits,
      TeamService team) {
    this.edits = edits;
    this.workdays = workdays;
    this.hours = hours;
    this.hourEdits = hourEdits;
    this.team = team;
  }

  @GetMapping
  @Needs(Right.READ)
  String absences(SiteContext site, Model model) {
    List<Person> people = team.people(site.siteId());
    model.addAttribute("people", people);
    model.addAttribute("absences", edits.absences(site));
    model.addAttribute("ownDays", workdays.ownDays(site.site()));
    model.addAttribute("siteDays", site.site().workingWeek());
    model.addAttribute("days", DayOfWeek.values());
    model.addAttribute(
        "weeks",
        WeeksDrawing.of(
            people, workdays.calendars(site.site()), hours.hours(site.site()), site.today()));
    model.addAttribute("dayHours", hours.ownDays(site.site()));
    model.addAttribute("usual", WorkHours.USUAL);
    model.addAttribute("reserved", hourEdits.reserved(site));
    model.addAttribute(
        "mine", people.stream().filter(p -> AbsenceEdits.may(site, p.id())).toList());
    return "absences/absences";
  }

  /** What is sent to {@link #add}. */
  record AddForm(
      @RequestParam long person,
      @RequestParam(required = false) @Nullable LocalDate first,
      @RequestParam(required = false) @Nullable LocalDate last,
      @RequestParam(defaultValue = "") String note,
      @RequestParam(defaultValue = "false") boolean anyway) {}

  @PostMapping
  @Needs(Right.READ)
  String add(SiteContext site, AddForm form, Reply reply) {
    try {
      if (form.first() == null) {
        throw new RefusedException("Choose the first day.");
      }
      Absence absence =
          new Absence(
              0,
              form.person(),
              form.first(),
              form.last() == null ? form.first() : form.last(),
              form.note());
      edits.add(site, absence, form.anyway());
      reply.say("The absence is added. Due dates follow at once.");
      return back(site);
    } catch (RefusedException e) {
      reply.refuse(e);
      reply.with("typedPerson", form.person());
      reply.with("typedFirst", form.first());
      reply.with("typedLast", form.last());
      reply.with("typedNote", form.note());
      return absences(site, reply.model());
    }
  }

  @PostMapping("/{id}/remove")
  @Needs(Right.READ)
  String remove(SiteContext site, @PathVariable long id, Reply reply) {
    edits.remove(site, id);
    reply.say("The absence is removed.");
    return back(site);
  }

  /** The days of a person's week; none marked means those of the site. */
  @PostMapping("/week")
  @Needs(Right.READ)
  String week(
      SiteContext site,
      @RequestParam long person,
      @RequestParam(required = false) @Nullable List<Integer> week,
      @RequestParam(defaultValue = "false") boolean anyway,
      Reply reply) {
    List<Integer> days =
        week == null
            ? List.of()
            : week.stream().filter(d -> d != null && d >= 1 && d <= 7).distinct().sorted().toList();
    boolean asTheSite = days.isEmpty() || days.equals(site.site().workingWeek());
    edits.setDays(site, person, asTheSite ? null : days, anyway);
    reply.say("The working days are set. Due dates follow at once.");
    return back(site);
  }

  /** The hours of a person's working day; none said means the usual ones. */
  @PostMapping("/day")
  @Needs(Right.READ)
  String day(
      SiteContext site,
      @RequestParam long person,
      @RequestParam(defaultValue = "") String hours,
      Reply reply) {
    hourEdits.setDay(site, person, hours);
    reply.say("The hours of a working day are set.");
    return back(site);
  }

  /** What is sent to {@link #reserve}. */
  record ReserveForm(
      @RequestParam long person,
      @RequestParam int weekday,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(defaultValue = "") String note) {}

  @PostMapping("/reserved")
  @Needs(Right.READ)
  String reserve(SiteContext site, ReserveForm form, Reply reply) {
    hourEdits.reserve(site, form.person(), form.weekday(), form.hours(), form.note());
    reply.say("These hours are kept free each week.");
    return back(site);
  }

  @PostMapping("/reserved/{id}/remove")
  @Needs(Right.READ)
  String release(SiteContext site, @PathVariable long id, Reply reply) {
    hourEdits.release(site, id);
    reply.say("These hours are available for articles again.");
    return back(site);
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/absences";
  }
}
