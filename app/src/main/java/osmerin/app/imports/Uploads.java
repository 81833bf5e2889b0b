package osmerin.app.imports;

import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;

/** Files that wait for their columns to be confirmed. */
@Service
public class Uploads {
  /** An upload that waits for its columns to be confirmed. */
  record Waiting(UUID id, String name, KeywordFile file) {}

  private final ImportMapper imports;

  Uploads(ImportMapper imports) {
    this.imports = imports;
  }

  /**
   * Keeps an uploaded file until its columns are confirmed; uploads of days ago are thrown away.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it is empty or no text; then nothing
   *     is kept
   */
  @Transactional
  public UUID keep(SiteContext context, String name, byte[] content) {
    context.require(Right.IMPORT);
    new KeywordFile(content).guess();
    UUID id = UUID.randomUUID();
    imports.deleteOldFiles(context.siteId());
    imports.insertFile(id, context.siteId(), context.personId(), name, content);
    return id;
  }

  /** A file that waits; none once it was imported. */
  Optional<Waiting> find(SiteContext context, UUID id) {
    return imports
        .findFile(id, context.siteId())
        .map(f -> new Waiting(f.id(), f.name(), new KeywordFile(f.content())));
  }

  Waiting waiting(SiteContext context, UUID id) {
    return find(context, id).orElseThrow(() -> new NotFoundException("uploaded file", id));
  }

  /**
   * @throws osmerin.formats.text.UnreadableFileException when no column holds keywords
   */
  void requireReadable(SiteContext context, Waiting waiting, FileReading reading) {
    context.require(Right.IMPORT);
    waiting.file().requireKeywords(reading);
  }

  /** An upload that was imported waits no longer. */
  void done(UUID id) {
    imports.deleteFile(id);
  }
}
