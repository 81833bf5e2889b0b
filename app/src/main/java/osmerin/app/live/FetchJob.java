package osmerin.app.live;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.Serializable;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.app.work.LongWork;
import osmerin.app.work.Work;
import osmerin.app.work.WorkKind;
import osmerin.app.work.WorkStoppedException;
import osmerin.formats.text.UnreadableFileException;

/**
 * Fetches what an address says is live, in the background, since a slow host may take as long as
 * fetching may take. Most answer at once, so whoever asked waits a moment for the outcome before
 * they are shown how far it is.
 */
@Service
public class FetchJob {
  private static final Logger LOG = LoggerFactory.getLogger(FetchJob.class);
  private static final TaskDescriptor<Order> TASK = TaskDescriptor.of("fetch", Order.class);

  private static final int LONGEST_ADDRESS = 2_000;

  /** What is to be fetched, and for whom. */
  record Order(long siteId, long personId, UUID work, String address) implements Serializable {
    private static final long serialVersionUID = 1;
  }

  private final OnBehalf onBehalf;
  private final SchedulerClient jobs;
  private final InventoryIntake intake;
  private final LongWork work;
  private final Clock clock;

  FetchJob(
      @Lazy SchedulerClient jobs,
      InventoryIntake intake,
      LongWork work,
      OnBehalf onBehalf,
      Clock clock) {
    this.onBehalf = onBehalf;
    this.jobs = jobs;
    this.intake = intake;
    this.work = work;
    this.clock = clock;
  }

  /**
   * Orders it; it begins at once.
   *
   * @return the work, to look at its progress
   */
  @Transactional
  public UUID order(SiteContext context, String typed) {
    context.require(Right.COMMISSION);
    String address = typed.strip();
    if (address.isEmpty() || address.length() > LONGEST_ADDRESS) {
      throw new RefusedException("Type the address of a sitemap or a feed.");
    }
    UUID id =
        work.begin(context, WorkKind.FETCH, address, context.base() + "/live/inventory/bring-in");
    Order order = new Order(context.siteId(), context.personId(), id, address);
    jobs.scheduleIfNotExists(TASK.instance(id.toString()).data(order).scheduledTo(clock.instant()));
    return id;
  }

  /** Open to this package, since the job calls it through a proxy. */
  void run(Order order) {
    SiteContext context = onBehalf.of(order.siteId(), order.personId());
    String live = context.base() + "/live/inventory/";
    Work begun = work.get(context, order.work());
    if (begun.isOver()) {
      return;
    }
    String again = live + "bring-in?address=" + encoded(order.address());
    try {
      UUID kept =
          intake.keepFrom(
              context,
              order.address(),
              (step, part, total) -> work.step(order.work(), step, part, total));
      work.doneAtAGlance(
          context,
          begun.id(),
          "The pages of " + begun.name() + " are ready to import.",
          live + kept);
    } catch (WorkStoppedException e) {
      LOG.info("fetching {} was stopped", order.work());
    } catch (UnreadableFileException | RefusedException e) {
      work.failedAtAGlance(context, begun.id(), String.valueOf(e.getMessage()), again);
    } catch (RuntimeException e) {
      LOG.error("fetching {} failed", order.work(), e);
      work.failedAtAGlance(context, begun.id(), "It broke off. The log of today says why.", again);
    }
  }

  private static String encoded(String address) {
    return URLEncoder.encode(address, StandardCharsets.UTF_8);
  }

  @Configuration
  static class Job {
    @Bean
    OneTimeTask<Order> fetchTask(FetchJob job) {
      return Tasks.oneTime(TASK).execute((order, context) -> job.run(order.getData()));
    }
  }
}
