package osmerin.app.plan;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.plan.KeptMonthMapper.KeptDate;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.core.article.Kind;

/**
 * Keeps the publish dates of each month as they stand on its first day, by which is told what can
 * be expected of it by today. What no node saw begin has no kept plan.
 */
@Service
public class KeptMonths {
  private final KeptMonthMapper kept;
  private final SiteService sites;

  KeptMonths(KeptMonthMapper kept, SiteService sites) {
    this.kept = kept;
    this.sites = sites;
  }

  /** Keeps the months that begin today, each in the zone of its site. */
  @Transactional
  public void keepBeginning() {
    sites
        .all()
        .forEach(
            site -> {
              LocalDate today = sites.today(site);
              if (today.getDayOfMonth() == 1) {
                keep(site.id(), YearMonth.from(today));
              }
            });
  }

  /** Keeps the dates of a month as they stand, unless they are kept already. */
  @Transactional
  public void keep(long siteId, YearMonth month) {
    if (kept.begin(siteId, month.atDay(1)) == 1) {
      kept.keep(siteId, month.atDay(1), month.atEndOfMonth());
    }
  }

  /** The kept publish dates by kind; {@link KeptPlan#NONE} when the month was not kept. */
  KeptPlan of(SiteContext context, YearMonth month) {
    if (!kept.isKept(context.siteId(), month.atDay(1))) {
      return KeptPlan.NONE;
    }
    Map<Kind, List<LocalDate>> dates = new EnumMap<>(Kind.class);
    for (Kind kind : Kind.values()) {
      dates.put(kind, new ArrayList<>());
    }
    for (KeptDate date : kept.dates(context.siteId(), month.atDay(1))) {
      dates.get(date.kind()).add(date.publishDate());
    }
    return new KeptPlan(dates);
  }

  @Configuration
  static class Job {
    @Bean
    RecurringTask<Void> keepMonthsTask(KeptMonths months) {
      return Tasks.recurring("keep months", FixedDelay.of(Duration.ofMinutes(5)))
          .execute((instance, context) -> months.keepBeginning());
    }
  }
}
