package osmerin.app.gathering;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.Serializable;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.groups.GroupService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.GroupsTaken;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.app.work.LongWork;
import osmerin.app.work.WorkKind;
import osmerin.app.work.WorkStoppedException;
import osmerin.core.text.Counted;

/**
 * Fetches evidence for keyword groups from the search service, in the background. The groups of new
 * articles and pitches get theirs without being asked for.
 */
@Service
public class EvidenceJob {
  /** So many groups at once, lest somebody asks for thousands by mistake. */
  public static final int MOST = 200;

  /** Until then it shows whether the group needs any. */
  private static final Duration AHEAD_AFTER = Duration.ofSeconds(10);

  private static final Logger LOG = LoggerFactory.getLogger(EvidenceJob.class);
  private static final TaskDescriptor<Order> TASK = TaskDescriptor.of("evidence", Order.class);

  /**
   * What is to be fetched, and for whom.
   *
   * @param work null when nobody asked for it; then groups that need none are passed over
   * @param path of the page that shows what came of it
   */
  record Order(long siteId, long personId, @Nullable UUID work, List<Long> groups, String path)
      implements Serializable {
    private static final long serialVersionUID = 1;
  }

  /** What became of it. */
  private record Outcome(int fetched, List<String> faults) {
    String sentence(int groups) {
      String done =
          groups == 1
              ? "The evidence is here."
              : "Evidence fetched for %s of %s.".formatted(fetched, Counted.of(groups, "group"));
      return faults.isEmpty() ? done : done + " " + String.join(" ", faults);
    }
  }

  private final SchedulerClient jobs;
  private final EvidenceService evidence;
  private final GroupService groups;
  private final LongWork work;
  private final OnBehalf onBehalf;
  private final Clock clock;
  private final boolean ahead;

  EvidenceJob(
      @Lazy SchedulerClient jobs,
      EvidenceService evidence,
      GroupService groups,
      LongWork work,
      OnBehalf onBehalf,
      Clock clock,
      @Value("${osmerin.evidence.ahead:true}") boolean ahead) {
    this.jobs = jobs;
    this.evidence = evidence;
    this.groups = groups;
    this.work = work;
    this.onBehalf = onBehalf;
    this.clock = clock;
    this.ahead = ahead;
  }

  /**
   * Orders evidence for groups; it begins at once.
   *
   * @param path of the page that shows what came of it
   * @return the work, to look at its progress
   */
  @Transactional
  public UUID order(SiteContext context, Collection<Long> groupIds, String path) {
    context.require(Right.WORK);
    List<Long> asked = List.copyOf(new LinkedHashSet<>(groupIds));
    if (asked.isEmpty() || asked.size() > MOST) {
      throw new RefusedException("Mark 1 to %s groups to get evidence for.".formatted(MOST));
    }
    if (!evidence.isSearchConnected()) {
      throw new RefusedException(
          "No search service is connected. Add pages by hand on the group's evidence page.");
    }
    String name =
        asked.size() == 1
            ? groups.group(context, asked.get(0)).row().name()
            : Counted.of(asked.size(), "group");
    UUID id = work.begin(context, WorkKind.EVIDENCE, name, path);
    schedule(
        id.toString(),
        new Order(context.siteId(), context.personId(), id, asked, path),
        clock.instant());
    return id;
  }

  /** A group somebody means to write about soon needs its evidence soon. */
  @EventListener
  void ahead(GroupsTaken taken) {
    SiteContext context = taken.context();
    if (ahead && evidence.isSearchConnected()) {
      Order order =
          new Order(context.siteId(), context.personId(), null, taken.groupIds(), context.base());
      schedule(UUID.randomUUID().toString(), order, clock.instant().plus(AHEAD_AFTER));
    }
  }

  private void schedule(String name, Order order, Instant at) {
    jobs.scheduleIfNotExists(TASK.instance(name).data(order).scheduledTo(at));
  }

  /** Open to this package, since the job calls it through a proxy. */
  void run(Order order) {
    SiteContext context = onBehalf.of(order.siteId(), order.personId());
    if (order.work() != null && work.get(context, order.work()).isOver()) {
      return;
    }
    try {
      Outcome outcome = fetch(context, order);
      tell(context, order, outcome);
    } catch (WorkStoppedException e) {
      LOG.info("fetching evidence was stopped: {}", order.work());
    } catch (RuntimeException e) {
      LOG.error("fetching evidence failed", e);
      if (order.work() != null) {
        work.failedAtAGlance(
            context, order.work(), "It broke off. The log of today says why.", order.path());
      }
    }
  }

  /** Each group is kept by itself, so that what was fetched stays whatever comes after. */
  private Outcome fetch(SiteContext context, Order order) {
    int fetched = 0;
    List<String> faults = new ArrayList<>();
    for (int i = 0; i < order.groups().size(); i++) {
      long group = order.groups().get(i);
      try {
        String primary = groups.keywords(context, group).primary();
        if (order.work() != null) {
          work.step(
              order.work(), "Fetching what ranks for “" + primary + "”", i, order.groups().size());
        }
        if (order.work() != null || isNeeded(context, group, primary)) {
          evidence.fetch(context, primary);
          fetched++;
        }
      } catch (RefusedException | NotFoundException e) {
        if (!faults.contains(e.getMessage())) {
          faults.add(e.getMessage());
        }
      }
    }
    return new Outcome(fetched, faults);
  }

  /** What is live already was written without it. */
  private boolean isNeeded(SiteContext context, long group, String primary) {
    return !groups.group(context, group).isLive() && evidence.find(context, primary).isEmpty();
  }

  private void tell(SiteContext context, Order order, Outcome outcome) {
    if (order.work() == null) {
      outcome.faults().forEach(fault -> LOG.warn("no evidence ahead: {}", fault));
    } else if (outcome.fetched() == 0) {
      String why = String.join(" ", outcome.faults());
      work.failedAtAGlance(context, order.work(), why, order.path());
    } else if (order.groups().size() == 1) {
      String sentence = outcome.sentence(1);
      work.doneAtAGlance(context, order.work(), sentence, order.path());
    } else {
      // How many of them came is told in any case: the page it leads to does not say.
      String sentence = outcome.sentence(order.groups().size());
      work.done(context, order.work(), sentence, order.path());
    }
  }

  @Configuration
  static class Job {
    @Bean
    OneTimeTask<Order> evidenceTask(EvidenceJob job) {
      return Tasks.oneTime(TASK).execute((order, context) -> job.run(order.getData()));
    }
  }
}
