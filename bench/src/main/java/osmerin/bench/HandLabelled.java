package osmerin.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import osmerin.core.keyword.Keyword;

/**
 * Phrases of a dictionary, labelled by hand by what one article could answer, with what a plain
 * search of that dictionary finds for their words. Such a search knows words only, so phrases that
 * belong together are answered far less alike than by a search engine; figures are lower here.
 */
final class HandLabelled {
  private static final String FILE = "/hand-labelled/keywords.csv";

  private HandLabelled() {}

  static LabelledSet read() {
    List<Keyword> keywords = new ArrayList<>();
    Map<String, Integer> labels = new HashMap<>();
    Map<String, Integer> numbers = new HashMap<>();
    try (InputStreamReader file =
            new InputStreamReader(
                Objects.requireNonNull(HandLabelled.class.getResourceAsStream(FILE)),
                StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(file)) {
      for (NamedCsvRecord row : rows) {
        List<String> pages = List.of(row.getField("ranking pages").split(" "));
        Keyword keyword = Keyword.of(row.getField("keyword"), null, pages);
        keywords.add(keyword);
        labels.put(
            keyword.normal(),
            numbers.computeIfAbsent(row.getField("label"), label -> numbers.size()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new LabelledSet(keywords, labels);
  }
}
