package osmerin.app.imports;

import java.nio.charset.Charset;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.imports.ImportMapper.HeaderNames;
import osmerin.app.site.SiteContext;
import osmerin.formats.keywords.Column;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.table.Delimiter;
import osmerin.formats.table.Source;

/**
 * How uploaded files are read: as they seem to be, with the columns that a person chose for the
 * last file of the same header, and with what the person corrects now.
 */
@Component
class Readings {
  private final ImportMapper imports;

  Readings(ImportMapper imports) {
    this.imports = imports;
  }

  /** What a person corrected; what is null is guessed. */
  record Corrections(
      @Nullable Charset charset,
      @Nullable Delimiter delimiter,
      @Nullable String sheet,
      @Nullable Integer headerRow,
      @Nullable List<Column> columns) {

    private Source source(Source guessed) {
      if (guessed instanceof Source.Delimited text) {
        return new Source.Delimited(
            charset != null ? charset : text.charset(),
            delimiter != null ? delimiter : text.delimiter());
      }
      return sheet != null ? new Source.Sheet(sheet) : guessed;
    }
  }

  /** How a file is to be read. */
  FileReading reading(SiteContext context, KeywordFile file, Corrections corrections) {
    Source guessed = file.guess().source();
    Source source = corrections.source(guessed);
    FileReading reading =
        corrections.headerRow() == null
            ? knownOrGuessed(context, file, source)
            : file.guess(source, Math.max(0, corrections.headerRow()));
    List<Column> columns = corrections.columns();
    // Columns chosen for another delimiter or sheet fit no longer.
    if (columns != null && columns.size() == reading.columns().size()) {
      return with(reading, columns);
    }
    return remembered(context, file, reading);
  }

  /** A header met before is known again, whatever title stands above it. */
  private FileReading knownOrGuessed(SiteContext context, KeywordFile file, Source source) {
    Set<List<String>> known =
        imports.headerNames(context.siteId()).stream()
            .map(HeaderNames::names)
            .collect(Collectors.toSet());
    List<List<String>> first = file.first(source);
    return IntStream.range(0, first.size())
        .filter(row -> known.contains(first.get(row)))
        .mapToObj(row -> file.guess(source, row + 1))
        .findFirst()
        .orElseGet(() -> file.guess(source));
  }

  private FileReading remembered(SiteContext context, KeywordFile file, FileReading reading) {
    if (!reading.header()) {
      return reading;
    }
    return imports
        .findHeader(context.siteId(), names(file, reading))
        .map(h -> h.columns().stream().map(Column::valueOf).toList())
        .filter(columns -> columns.size() == reading.columns().size())
        .map(columns -> with(reading, columns))
        .orElse(reading);
  }

  /** Keeps what the columns hold for the next file of the same header. */
  void remember(SiteContext context, KeywordFile file, FileReading reading) {
    if (reading.header()) {
      List<String> columns = reading.columns().stream().map(Column::name).toList();
      imports.rememberHeader(context.siteId(), names(file, reading), columns);
    }
  }

  private static List<String> names(KeywordFile file, FileReading reading) {
    return file.preview(reading, 1).names().stream().map(Objects::toString).toList();
  }

  private static FileReading with(FileReading reading, List<Column> columns) {
    return new FileReading(reading.source(), reading.headerRow(), columns);
  }
}
