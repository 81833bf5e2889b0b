package osmerin.app.rounds;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.site.Site;
import osmerin.app.site.SiteService;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.StepRole;

/** Plans the rounds of a site as of today, in the calendars of its people. */
@Component
public class Planning {
  private final WorkdayService workdays;
  private final SiteService sites;

  Planning(WorkdayService workdays, SiteService sites) {
    this.workdays = workdays;
    this.sites = sites;
  }

  public RoundPlanner planner(Site site) {
    return new RoundPlanner(workdays.calendars(site), sites.today(site));
  }

  /**
   * Why a round that begins today cannot be published on a day.
   *
   * @param people who does the steps, by role
   * @return empty if it can
   */
  public Optional<Impossible> impossible(
      Site site, RunUp runUp, Map<StepRole, Long> people, @Nullable LocalDate publishDate) {
    if (publishDate == null) {
      return Optional.empty();
    }
    BackPlan plan = planner(site).fresh(runUp, people, publishDate);
    return Impossible.is(plan) ? Optional.of(Impossible.of(plan, publishDate)) : Optional.empty();
  }
}
