package osmerin.app.imports;

import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;

/** Imports a file of keyword research: reads it, stores what it brings and groups it. */
@Service
public class ImportService {
  private final Uploads uploads;
  private final ImportRows rows;
  private final Readings readings;

  ImportService(Uploads uploads, ImportRows rows, Readings readings) {
    this.readings = readings;
    this.uploads = uploads;
    this.rows = rows;
  }

  /**
   * Imports a file that waits.
   *
   * @param progress is told of each part of the work
   */
  @Transactional
  public long importWaiting(SiteContext context, UUID id, FileReading reading, Progress progress) {
    Named file = read(context, uploads.waiting(context, id), reading, progress);
    long done = rows.bring(context, file.name(), file.rows(), progress);
    uploads.done(id);
    return done;
  }

  private record Named(String name, KeywordRows rows) {}

  /** On its own, so that the file is not kept in memory any longer than this. */
  private Named read(
      SiteContext context, Uploads.Waiting waiting, FileReading reading, Progress progress) {
    progress.at("Counting the rows");
    KeywordFile.Survey survey = waiting.file().survey(reading);
    readings.remember(context, waiting.file(), reading);
    KeywordRows rows = survey.read(read -> progress.at("Reading the rows", read, survey.rows()));
    return new Named(waiting.name(), rows);
  }

  /** Imports a file as it is guessed to be. */
  public long importFile(SiteContext context, String name, byte[] content) {
    return rows.bring(context, name, new KeywordFile(content).read(), Progress.UNWATCHED);
  }
}
