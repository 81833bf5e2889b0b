package osmerin.app.find;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Locale;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;

/** What can be done from the find field. A path that begins with # opens a dialog of the page. */
enum Command {
  PITCH("Pitch an article", "#pitch-dialog", Right.PITCH),
  DESK("Open the desk", "/desk", Right.READ),
  MONTH("Open this month", "/plan", Right.READ),
  NEXT_MONTH("Open next month", "/plan/{next}", Right.READ),
  CALENDAR("Open the calendar", "/plan/{month}/calendar", Right.READ),
  TARGETS("Set this month's targets", "/plan/{month}", Right.TARGETS),
  IMPORT("Import keywords", "/research/import", Right.IMPORT),
  TOPICS("Open the topics", "/research", Right.READ),
  KEYWORDS("Open all keywords", "/research/keywords", Right.READ),
  STRENGTH("Site strength", "/research/strength", Right.READ),
  LEDGER("Open all articles", "/articles", Right.READ),
  UNDATED("Articles without a date", "/articles?month=none", Right.READ),
  READY("Articles that are Ready", "/articles?stage=SET", Right.READ),
  LIVE("What is live", "/live", Right.READ),
  NOTICES("Read notices", "/notices", Right.READ),
  HISTORY("History of the site", "/history", Right.READ),
  ARCHIVE("Open the archive", "/archive", Right.READ),
  TEAM("People of the site", "/team", Right.READ),
  ON_HOLD("Articles on hold", "/articles?stage=HOLD", Right.READ),
  ABSENCES("Who works when, absences", "/absences", Right.READ),
  HOURS("Hours that steps took", "/hours", Right.EDIT),
  TYPES("Article types and step roles", "/setup/types", Right.MANAGE),
  STAGES("Stages of the site, and what happens at them", "/setup/stages", Right.MANAGE),
  INVITE("Invite somebody", "/team", Right.MANAGE),
  SETUP("Settings of the site", "/setup", Right.MANAGE),
  ACCOUNT("Your settings", "/account", Right.READ),
  PASSWORD("Change your password", "/account", Right.READ),
  KEYS("List of keys", "#keys-dialog", Right.READ);

  private final String name;
  private final String path;
  private final Right right;

  Command(String name, String path, Right right) {
    this.name = name;
    this.path = path;
    this.right = right;
  }

  boolean isFor(SiteContext context) {
    return context.may(right);
  }

  /** Whether every word begins a word of the name. */
  boolean matches(String words) {
    String[] names = name.toLowerCase(Locale.ROOT).split(" ");
    for (String word : words.toLowerCase(Locale.ROOT).split("\\s+")) {
      if (java.util.Arrays.stream(names).noneMatch(n -> n.startsWith(word))) {
        return false;
      }
    }
    return true;
  }

  Finding finding(SiteContext context) {
    LocalDate today = context.today();
    String to =
        path.replace("{month}", YearMonth.from(today).toString())
            .replace("{next}", YearMonth.from(today).plusMonths(1).toString());
    return new Finding("Do", name, "", to.startsWith("#") ? to : context.base() + to);
  }
}
