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

/** Sets in files: keywords with a label and ranking pages. */
final class LabelledFile {
  /**
   * Phrases of a dictionary, labelled by hand by what one article could answer, with what a plain
   * search of that dictionary finds for their words. Such a search knows words only, so phrases
   * that belong together are answered far less alike than by a search engine; figures are lower
   * here.
   */
  static final LabelledFile BY_HAND = new LabelledFile("/hand-labelled/keywords.csv");

  /** The research of the demo with the groups its keywords were made for. */
  static final LabelledFile DEMO = new LabelledFile("/demo/keywords.csv");

  private final String file;

  private LabelledFile(String file) {
    this.file = file;
  }

  LabelledSet read() {
    List<Keyword> keywords = new ArrayList<>();
    Map<String, Integer> labels = new HashMap<>();
    Map<String, Integer> numbers = new HashMap<>();
    try (InputStreamReader in =
            new InputStreamReader(
                Objects.requireNonNull(LabelledFile.class.getResourceAsStream(file)),
                StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(in)) {
      for (NamedCsvRecord row : rows) {
        String ranking = row.getField("ranking pages");
        List<String> pages = ranking.isEmpty() ? List.of() : List.of(ranking.split(" "));
        Keyword keyword = Keyword.of(row.getField("keyword"), null, pages);
        int label = numbers.computeIfAbsent(row.getField("label"), name -> numbers.size());
        if (labels.putIfAbsent(keyword.normal(), label) == null) {
          keywords.add(keyword);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new LabelledSet(keywords, labels);
  }
}
