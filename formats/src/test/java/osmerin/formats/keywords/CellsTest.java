package osmerin.formats.keywords;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.KeywordFigures;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;
import osmerin.formats.table.Delimiter;

/** Cells in the clothes of many tools, and whole files written by one library and read back. */
class CellsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '#',
      value = {
        "https://a.example/1 https://b.example/2 # 2",
        "a.example/1|b.example/2|c.example # 3",
        "https://a.example/1, https://b.example/2 # 2",
        "https://a.example/1,https://b.example/2;c.example/3 # 3",
        "https://a.example/x,y # 1",
        "https://a.example/?q=1;2 # 1",
        "'' # 0",
      })
  void rankingPagesAreParted(String cell, int pages) {
    assertThat(PagesCell.pieces(cell)).hasSize(pages);
  }

  @Test
  void rankingPagesMayStandOnLinesOfTheirOwn() {
    assertThat(PagesCell.pieces("a.example/1\nb.example/2\r\nc.example/3\n"))
        .containsExactly("a.example/1", "b.example/2", "c.example/3");
  }

  @ParameterizedTest
  @CsvSource({
    "Informational, INFORMATIONAL", "info, INFORMATIONAL", "I, INFORMATIONAL",
    "'Commercial, Transactional', COMMERCIAL", "transactional, TRANSACTIONAL", "T, TRANSACTIONAL",
    "Navigational, NAVIGATIONAL", "commercial investigation, COMMERCIAL"
  })
  void intentsAreReadInEveryShortening(String cell, SearchIntent intent) {
    assertThat(IntentCell.read(cell)).contains(intent);
  }

  @ParameterizedTest
  @CsvSource({"curious", "x", "''", "42"})
  void whatIsNoIntentIsNone(String cell) {
    assertThat(IntentCell.read(cell)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "Keyword, KEYWORD",
    "Search Query, KEYWORD",
    "top queries, KEYWORD",
    "Keyphrase, KEYWORD",
    "Avg. monthly searches, VOLUME",
    "Volume (GB), VOLUME",
    "searches, VOLUME",
    "Keyword Difficulty, DIFFICULTY",
    "KD, DIFFICULTY",
    "SEO difficulty, DIFFICULTY",
    "CPC (USD), COST_PER_CLICK",
    "Avg. CPC, COST_PER_CLICK",
    "Search intent, INTENT",
    "Top 10, RANKING_PAGES",
    "URLs, RANKING_PAGES",
    "serp_urls, RANKING_PAGES",
    "Trend, OTHER",
    "Updated, OTHER"
  })
  void columnsAreKnownByTheirHeader(String header, Column column) {
    String cell = column == Column.RANKING_PAGES ? "kiln.example/a" : "kiln";
    KeywordFile file = file(header + ",whatever else\n" + cell + ",x\n", Charset.forName("UTF-8"));
    assertThat(file.guess().columns().get(0)).isEqualTo(column);
  }

  @Test
  void noColumnIsTakenTwice() {
    FileReading reading =
        file("keyword,query,volume,searches\na,b,1,2\n", Charset.forName("UTF-8")).guess();
    assertThat(reading.columns())
        .containsExactly(Column.KEYWORD, Column.OTHER, Column.VOLUME, Column.OTHER);
  }

  static Stream<Arguments> everyClothing() {
    return Stream.of("UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252")
        .flatMap(charset -> Stream.of(Delimiter.values()).map(d -> Arguments.of(charset, d)));
  }

  @ParameterizedTest
  @MethodSource("everyClothing")
  void whatWasWrittenComesBackInEveryEncodingAndDelimiter(String charset, Delimiter delimiter)
      throws java.io.IOException {
    for (int seed = 1; seed <= 5; seed++) {
      List<Keyword> keywords = keywords(new Random(seed));
      StringWriter out = new StringWriter();
      try (CsvWriter csv = CsvWriter.builder().fieldSeparator(delimiter.sign()).build(out)) {
        csv.writeRecord("Keyword", "Search volume", "Difficulty", "CPC", "Intent", "Ranking pages");
        keywords.forEach(k -> csv.writeRecord(record(k)));
      }
      KeywordRows rows = file(out.toString(), Charset.forName(charset)).read();
      assertThat(rows.problems()).isEmpty();
      assertThat(rows.keywords()).isEqualTo(keywords);
    }
  }

  private static List<Keyword> keywords(Random random) {
    List<String> starts =
        List.of("café", "kiln", "“raku”", "slip & score", "a, b; c", "50% grog", "what's");
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      String text = starts.get(random.nextInt(starts.size())) + " no" + i;
      keywords.add(
          new Keyword(
              text,
              new KeywordFigures(
                  random.nextInt(5) == 0 ? null : Volume.exactly(random.nextInt(90_000)),
                  random.nextInt(5) == 0 ? null : random.nextInt(101),
                  random.nextInt(5) == 0
                      ? null
                      : new BigDecimal(random.nextInt(900)).movePointLeft(2)),
              random.nextInt(3) == 0 ? SearchIntent.values()[random.nextInt(4)] : null,
              random.nextInt(4) == 0
                  ? List.of()
                  : List.of(PageAddress.of("a.example/" + i).orElseThrow())));
    }
    return keywords;
  }

  private static List<String> record(Keyword k) {
    return List.of(
        k.text(),
        Optional.ofNullable(k.volume()).map(v -> String.valueOf(v.searches())).orElse("n/a"),
        Optional.ofNullable(k.difficulty()).map(String::valueOf).orElse(""),
        Optional.ofNullable(k.costPerClick()).map(BigDecimal::toPlainString).orElse("-"),
        Optional.ofNullable(k.intent()).map(SearchIntent::name).orElse(""),
        k.pages().isEmpty() ? "" : "https://" + k.pages().get(0).value());
  }

  private static KeywordFile file(String text, Charset charset) {
    return new KeywordFile(text.getBytes(charset));
  }
}
