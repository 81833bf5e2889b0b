package osmerin.app.setup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.platform.web.Reply;
import osmerin.app.research.KeywordLanguages;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.text.Language;

/** The settings of a site, and adding one. */
@Controller
class SiteSetupController {
  private final SiteSetupService setup;
  private final SiteService sites;
  private final KeywordLanguages languages;

  SiteSetupController(SiteSetupService setup, SiteService sites, KeywordLanguages languages) {
    this.languages = languages;
    this.setup = setup;
    this.sites = sites;
  }

  @GetMapping("/{site}/setup")
  @Needs(Right.MANAGE)
  String settings(SiteContext site, Model model) {
    Site now = site.site();
    model
        .asMap()
        .putIfAbsent(
            "settings", new SiteSettings(now.name(), now.address(), now.zone(), now.workingWeek()));
    model.asMap().putIfAbsent("faults", Map.of());
    model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
    model.addAttribute("days", DayOfWeek.values());
    model.addAttribute("holidays", sites.holidays(now, site.today().withDayOfYear(1)));
    model.addAttribute("languages", Language.values());
    model.addAttribute("usual", languages.usual(site));
    return "setup/site";
  }

  @PostMapping("/{site}/setup/language")
  @Needs(Right.MANAGE)
  String language(SiteContext site, @RequestParam String language, Reply reply) {
    languages.setUsual(site, language);
    reply.say("Languages guessed again. Regroup to apply them to the groups.");
    return back(site);
  }

  /** What is sent to {@link #change}. */
  record ChangeForm(
      @RequestParam String name,
      @RequestParam(defaultValue = "") String address,
      @RequestParam String zone,
      @RequestParam(required = false) @Nullable List<Integer> week,
      @RequestParam int seen) {}

  @PostMapping("/{site}/setup")
  @Needs(Right.MANAGE)
  String change(SiteContext site, ChangeForm form, Reply reply) {
    List<Integer> days =
        form.week() == null
            ? List.of()
            : form.week().stream().filter(d -> d >= 1 && d <= 7).sorted().toList();
    SiteSettings wanted = new SiteSettings(form.name(), form.address(), form.zone(), days);
    Map<String, String> faults = setup.change(site, wanted, form.seen());
    if (!faults.isEmpty()) {
      reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
      reply.with("faults", faults);
      reply.with("settings", wanted);
      return settings(site, reply.model());
    }
    reply.say("The settings are saved. Due dates follow the working week at once.");
    return back(site);
  }

  @PostMapping("/{site}/setup/holidays")
  @Needs(Right.MANAGE)
  String addHoliday(
      SiteContext site,
      @RequestParam(required = false) @Nullable LocalDate day,
      @RequestParam String holiday,
      Reply reply) {
    try {
      if (day == null) {
        throw new RefusedException("Choose the day of the holiday.");
      }
      setup.addHoliday(site, day, holiday);
    } catch (RefusedException e) {
      reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
      reply.with("holidayFault", e.getMessage());
      reply.with("typedDay", day);
      reply.with("typedHoliday", holiday);
      return settings(site, reply.model());
    }
    reply.say(In.dayAndYear(day) + " is a holiday.");
    return back(site);
  }

  @PostMapping("/{site}/setup/holidays/remove")
  @Needs(Right.MANAGE)
  String removeHoliday(
      SiteContext site,
      @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day,
      Reply reply) {
    setup.removeHoliday(site, day);
    reply.say(In.dayAndYear(day) + " is a holiday no longer.");
    return back(site);
  }

  @GetMapping("/sites/add")
  @Needs(Right.SIGNED_IN)
  String add(@AuthenticationPrincipal SignedIn person, Model model) {
    if (!setup.ownsASite(person.id())) {
      throw new NotFoundException("page", "sites");
    }
    model.asMap().putIfAbsent("faults", Map.of());
    model.asMap().putIfAbsent("zone", ZoneId.systemDefault().getId());
    model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
    return "setup/add-site";
  }

  /** What is sent to {@link #add}. */
  record AddForm(
      @RequestParam String name,
      @RequestParam(defaultValue = "") String address,
      @RequestParam String prefix,
      @RequestParam String zone) {}

  @PostMapping("/sites/add")
  @Needs(Right.SIGNED_IN)
  String add(@AuthenticationPrincipal SignedIn person, AddForm form, Reply reply) {
    Map<String, String> faults =
        setup.add(person.id(), form.name(), form.address(), form.prefix(), form.zone());
    if (faults.isEmpty()) {
      Site added =
          sites.of(person.id()).stream()
              .max(java.util.Comparator.comparingLong(Site::id))
              .orElseThrow();
      return "redirect:/" + added.slug() + "/plan";
    }
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("faults", faults);
    reply.with("name", form.name());
    reply.with("address", form.address());
    reply.with("prefix", form.prefix());
    reply.with("zone", form.zone());
    return add(person, reply.model());
  }

  private static String back(SiteContext site) {
    return "redirect:" + site.base() + "/setup";
  }
}
