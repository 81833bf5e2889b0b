package osmerin.app.evidence;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.Serializable;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import osmerin.app.meaning.Meanings;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.ReadPage;
import osmerin.core.meaning.Meaning;

/**
 * Gathers what pages say by meaning too, in the background: until that is done, what was gathered
 * by words stands.
 */
@Service
class EvidenceMeaning {
  private static final TaskDescriptor<Order> TASK =
      TaskDescriptor.of("evidence-meaning", Order.class);

  /** Evidence as it was drawn at a time. */
  record Order(long evidence, Instant changedAt) implements Serializable {
    private static final long serialVersionUID = 1;
  }

  private final SchedulerClient jobs;
  private final EvidenceMapper evidence;
  private final EvidenceDrawing drawing;
  private final Meanings meanings;
  private final Clock clock;

  EvidenceMeaning(
      @Lazy SchedulerClient jobs,
      EvidenceMapper evidence,
      EvidenceDrawing drawing,
      Meanings meanings,
      Clock clock) {
    this.jobs = jobs;
    this.evidence = evidence;
    this.drawing = drawing;
    this.meanings = meanings;
    this.clock = clock;
  }

  /** Ordered once for each state of it, however often somebody looks. */
  @EventListener
  void order(EvidenceService.Looked looked) {
    KeptEvidence kept = looked.kept();
    Meaning meaning = meanings.unwatched();
    List<ReadPage> pages = EvidenceDrawing.counted(kept.pages());
    if (meaning != null && PagesSay.isMeant(pages, meaning)) {
      Order order = new Order(kept.id(), evidence.changedAt(kept.id()));
      String name = order.evidence() + " " + order.changedAt();
      jobs.scheduleIfNotExists(TASK.instance(name).data(order).scheduledTo(clock.instant()));
    }
  }

  void run(Order order) {
    Meaning meaning = meanings.unwatched();
    boolean stands = order.changedAt().equals(evidence.changedAt(order.evidence()));
    if (meaning != null && stands) {
      PagesSay say = drawing.meant(order.evidence(), meaning);
      drawing.said(order.evidence(), order.changedAt(), say);
    }
  }

  @Configuration
  static class Job {
    @Bean
    OneTimeTask<Order> evidenceMeaningTask(EvidenceMeaning meaning) {
      return Tasks.oneTime(TASK).execute((order, context) -> meaning.run(order.getData()));
    }
  }
}
