package osmerin.app.imports;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.Serializable;
import java.nio.charset.Charset;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.imports.ImportReports.Finished;
import osmerin.app.imports.Uploads.Waiting;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.app.work.LongWork;
import osmerin.app.work.WorkKind;
import osmerin.app.work.WorkStoppedException;
import osmerin.core.text.Counted;
import osmerin.formats.keywords.Column;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.table.Delimiter;
import osmerin.formats.table.Source;
import osmerin.formats.text.UnreadableFileException;

/**
 * Imports in the background. The upload stays until its import is done, in one transaction; so when
 * the machine stops in between, the import starts again.
 */
@Service
public class ImportJob {
  private static final Logger LOG = LoggerFactory.getLogger(ImportJob.class);
  private static final TaskDescriptor<Order> TASK = TaskDescriptor.of("import", Order.class);

  /** What is to be imported, for whom, and how the file is read. */
  record Order(
      long siteId,
      long personId,
      UUID work,
      UUID upload,
      @Nullable String charset,
      @Nullable Delimiter delimiter,
      @Nullable String sheet,
      int headerRow,
      List<Column> columns)
      implements Serializable {
    private static final long serialVersionUID = 1;

    FileReading reading() {
      Source source =
          charset == null || delimiter == null
              ? new Source.Sheet(String.valueOf(sheet))
              : new Source.Delimited(Charset.forName(charset), delimiter);
      return new FileReading(source, headerRow, columns);
    }

    static Order of(SiteContext context, UUID work, UUID upload, FileReading reading) {
      boolean text = reading.source() instanceof Source.Delimited;
      Source.Delimited delimited = text ? (Source.Delimited) reading.source() : null;
      return new Order(
          context.siteId(),
          context.personId(),
          work,
          upload,
          delimited == null ? null : delimited.charset().name(),
          delimited == null ? null : delimited.delimiter(),
          delimited == null ? ((Source.Sheet) reading.source()).name() : null,
          reading.headerRow(),
          List.copyOf(reading.columns()));
    }
  }

  private final OnBehalf onBehalf;
  private final SchedulerClient jobs;
  private final ImportService imports;
  private final Uploads uploads;
  private final ImportReports reports;
  private final LongWork work;
  private final TransactionTemplate transaction;
  private final Clock clock;

  ImportJob(
      @Lazy SchedulerClient jobs,
      ImportService imports,
      Uploads uploads,
      ImportReports reports,
      LongWork work,
      TransactionTemplate transaction,
      OnBehalf onBehalf,
      Clock clock) {
    this.onBehalf = onBehalf;
    this.jobs = jobs;
    this.imports = imports;
    this.uploads = uploads;
    this.reports = reports;
    this.work = work;
    this.transaction = transaction;
    this.clock = clock;
  }

  /**
   * Orders the import of an upload; it begins in a moment.
   *
   * @return the work, to look at its progress
   * @throws UnreadableFileException when no column holds keywords
   */
  @Transactional
  UUID order(SiteContext context, Waiting upload, FileReading reading) {
    uploads.requireReadable(context, upload, reading);
    UUID id =
        work.begin(context, WorkKind.IMPORT, upload.name(), context.base() + "/research/import");
    Order order = Order.of(context, id, upload.id(), reading);
    boolean fresh =
        jobs.scheduleIfNotExists(
            TASK.instance(upload.id().toString()).data(order).scheduledTo(clock.instant()));
    if (!fresh) {
      throw new RefusedException(
          "This file is being imported already. A notice says when it is done.");
    }
    return id;
  }

  /** Open to this package, since the job calls it through a proxy. */
  void run(Order order) {
    SiteContext context = onBehalf.of(order.siteId(), order.personId());
    String research = context.base() + "/research";
    String again = research + "/import/" + order.upload();
    if (work.get(context, order.work()).isOver()) {
      return;
    }
    try {
      transaction.executeWithoutResult(
          open -> {
            long done =
                imports.importWaiting(
                    context,
                    order.upload(),
                    order.reading(),
                    (step, part, total) -> work.step(order.work(), step, part, total));
            String path = research + "/imports/" + done;
            work.done(context, order.work(), sentence(reports.finished(context, done)), path);
          });
    } catch (WorkStoppedException e) {
      LOG.info("import of {} was stopped", order.upload());
    } catch (UnreadableFileException | RefusedException e) {
      work.failed(context, order.work(), e.getMessage(), again);
    } catch (RuntimeException e) {
      LOG.error("import of {} failed", order.upload(), e);
      String fault = "It broke off; nothing was stored. The log of today says why.";
      work.failed(context, order.work(), fault, again);
    }
  }

  private static String sentence(Finished finished) {
    return "%s is imported: %s new, %s changed."
        .formatted(
            finished.row().fileName(),
            Counted.of(finished.row().added(), "keyword"),
            finished.row().changed());
  }

  @Configuration
  static class Job {
    @Bean
    OneTimeTask<Order> importTask(ImportJob job) {
      return Tasks.oneTime(TASK).execute((order, context) -> job.run(order.getData()));
    }
  }
}
