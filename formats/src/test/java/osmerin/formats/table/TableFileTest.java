package osmerin.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.formats.text.UnreadableFileException;
import tools.jackson.databind.json.JsonMapper;

class TableFileTest {
  /**
   * Files that others made to try CSV readers, each with what should be read. One of them is left
   * out, since its answer is that of another file.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "comma_in_quotes",
        "empty",
        "empty_crlf",
        "escaped_quotes",
        "json",
        "newlines",
        "newlines_crlf",
        "quotes_and_newlines",
        "simple",
        "simple_crlf",
        "utf8"
      })
  void readsTheAcidTests(String name) throws IOException {
    TableFile file = new TableFile(bytes("/csv-spectrum/" + name + ".csv"));
    List<Row> rows = file.read(file.guess(), Stream::toList);
    List<Map<String, String>> read = new ArrayList<>();
    for (Row row : rows.subList(1, rows.size())) {
      Map<String, String> fields = new LinkedHashMap<>();
      for (int i = 0; i < rows.get(0).fields().size(); i++) {
        fields.put(rows.get(0).field(i), row.field(i));
      }
      read.add(fields);
    }
    Object expected =
        JsonMapper.builder()
            .build()
            .readValue(bytes("/csv-spectrum/" + name + ".json"), List.class);
    assertThat(read).isEqualTo(expected);
  }

  private byte[] bytes(String resource) throws IOException {
    try (InputStream in = getClass().getResourceAsStream(resource)) {
      return in.readAllBytes();
    }
  }

  @Test
  void readsTheFirstSheetWithRowsAndAnyByName() throws IOException {
    TableFile file =
        new TableFile(
            Workbooks.of(
                Map.of(
                    "1 Notes", List.of(),
                    "2 Words", List.of(List.of("keyword", "volume"), List.of("eel trap", 1300)),
                    "3 More", List.of(List.of("elver", 0.5)))));
    assertThat(file.sheets()).containsExactly("1 Notes", "2 Words", "3 More");
    assertThat(file.guess()).isEqualTo(new Source.Sheet("2 Words"));
    List<Row> rows = file.read(file.guess(), Stream::toList);
    assertThat(rows).extracting(Row::fields).contains(List.of("eel trap", "1300"));
    assertThat(rows.get(1).line()).isEqualTo(2);
    List<Row> more = file.read(new Source.Sheet("3 More"), Stream::toList);
    assertThat(more.get(0).fields()).containsExactly("elver", "0.5");
    assertThatThrownBy(() -> file.read(new Source.Sheet("4"), Stream::toList))
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("no sheet “4”");
  }

  @Test
  void aBrokenSpreadsheetSaysSo() throws IOException {
    byte[] whole = Workbooks.of(Map.of("S", List.of(List.of("keyword"), List.of("eel"))));
    ByteArrayOutputStream broken = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(broken)) {
      zip.putNextEntry(new ZipEntry("xl/workbook.xml"));
      zip.write("<workbook".getBytes());
    }
    assertThatThrownBy(() -> new TableFile(broken.toByteArray()).guess())
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("cannot be read");
    assertThat(new TableFile(whole).sheets()).containsExactly("S");
  }

  @Test
  void anyOtherArchiveIsNoTable() throws IOException {
    ByteArrayOutputStream archive = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(archive)) {
      zip.putNextEntry(new ZipEntry("letter.txt"));
      zip.write("eel".getBytes());
    }
    assertThatThrownBy(() -> new TableFile(archive.toByteArray()).guess())
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining("ZIP archive");
  }
}
