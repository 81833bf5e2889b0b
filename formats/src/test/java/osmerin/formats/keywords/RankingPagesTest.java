package osmerin.formats.keywords;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.table.Source;
import osmerin.formats.table.Workbooks;

/** Ranking pages in one cell, in columns, or in a row each; headers and titles around them. */
class RankingPagesTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "keyword,serp urls\neel,\"https://a.example/1 b.example/2 c.example/3\"\n",
        "keyword,serp urls\neel,\"a.example/1,b.example/2,c.example/3\"\n",
        "keyword|urls\neel|\"a.example/1|b.example/2|c.example/3\"\n",
        "keyword,urls\neel,\"a.example/1\nb.example/2\nc.example/3\"\n",
        "keyword;1;2;3\neel;a.example/1;b.example/2;c.example/3\n",
        "keyword\tvolume\tURL 1\tURL 2\tURL 3\neel\t10\ta.example/1\tb.example/2\tc.example/3\n",
        "Position 1,Position 2,Position 3,Query\na.example/1,b.example/2,c.example/3,eel\n",
        "keyword,position,address\neel,2,b.example/2\neel,1,a.example/1\neel,3,c.example/3\n",
        "Rank,Search term,URL\n3,eel,c.example/3\n1,eel,a.example/1\n2,eel,b.example/2\n",
        "eel,1,a.example/1\neel,2,b.example/2\neel,3,c.example/3\n",
        "Exported on 3 March\n\nkeyword,urls\neel,a.example/1 b.example/2 c.example/3\n",
        "Eels and more;;;\nall of it;;;\nKeyword;#1;#2;#3\neel;a.example/1;b.example/2;c.example/3\n",
      })
  void areReadInTheirOrderHoweverTheyAreWritten(String text) {
    KeywordRows rows = file(text).read();
    assertThat(rows.problems()).isEmpty();
    assertThat(rows.keywords()).extracting(Keyword::text).containsExactly("eel");
    assertThat(rows.keywords().get(0).pages())
        .extracting(PageAddress::value)
        .containsExactly("a.example/1", "b.example/2", "c.example/3");
    assertThat(rows.repeated()).isZero();
  }

  @Test
  void twentyColumnsAreReadAndMoreIsCutOff() {
    String header =
        IntStream.rangeClosed(1, 25).mapToObj(i -> "url " + i).collect(Collectors.joining(","));
    String pages =
        IntStream.rangeClosed(1, 25)
            .mapToObj(i -> "p.example/" + i)
            .collect(Collectors.joining(","));
    KeywordRows rows = file("keyword," + header + "\neel," + pages + "\n").read();
    assertThat(rows.keywords().get(0).pages()).hasSize(20);
  }

  @Test
  void aRowForEachPageKeepsTheFiguresAndReportsWhatIsNoPosition() {
    KeywordRows rows =
        file("""
                keyword,volume,position,url
                eel trap,90,1,a.example/1
                eel trap,,2,b.example/2
                eel trap,90,top,c.example/3
                elver,5,,d.example/4
                elver,5,1,e.example/5
                """)
            .read();
    assertThat(rows.rows()).isEqualTo(5);
    assertThat(rows.rejected()).isZero();
    assertThat(rows.problems().get(0).line()).isEqualTo(4);
    assertThat(rows.problems().get(0).reason()).contains("is not a position (1 or more)");
    assertThat(rows.keywords().get(0).volume().searches()).isEqualTo(90);
    assertThat(rows.keywords().get(0).pages())
        .extracting(PageAddress::value)
        .containsExactly("a.example/1", "b.example/2", "c.example/3");
    assertThat(rows.keywords().get(1).pages())
        .extracting(PageAddress::value)
        .containsExactly("e.example/5", "d.example/4");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "keyword,results\neel,123000\nelver,9\n",
        "keyword,20\neel,3\nelver,9\n",
      })
  void namesThatAreNotWhatTheyHoldAreNotRead(String text) {
    FileReading reading = file(text).guess();
    assertThat(reading.columns()).containsExactly(Column.KEYWORD, Column.OTHER);
  }

  @Test
  void spreadsheetsAreReadLikeText() throws IOException {
    KeywordFile file =
        new KeywordFile(
            Workbooks.of(
                Map.of(
                    "Export",
                    List.of(
                        List.of("Eels, all of them"),
                        List.of("Keyword", "Volume", "KD", "CPC", "URLs"),
                        List.of("eel trap", 1300, 12, 0.75, "a.example/1\nb.example/2"),
                        List.of("elver", "n/a", 34.6, "", "c.example/3")))));
    assertThat(file.guess().source()).isEqualTo(new Source.Sheet("Export"));
    assertThat(file.guess().headerRow()).isEqualTo(2);
    KeywordRows rows = file.read();
    assertThat(rows.problems()).isEmpty();
    assertThat(rows.keywords().get(0).volume().searches()).isEqualTo(1300);
    assertThat(rows.keywords().get(0).costPerClick()).isEqualByComparingTo("0.75");
    assertThat(rows.keywords().get(0).pages()).hasSize(2);
    assertThat(rows.keywords().get(1).difficulty()).isEqualTo(35);
    assertThat(rows.keywords().get(1).volume()).isNull();
    assertThat(file.preview(file.guess(), 1).names()).contains("Keyword", "URLs");
  }

  @Test
  void aPersonChoosesAnotherHeader() {
    KeywordFile file = file("a,b\nkeyword,volume\neel,3\n");
    assertThat(file.guess().headerRow()).isEqualTo(2);
    FileReading other = file.guess(file.guess().source(), 0);
    assertThat(file.preview(other, 5).rows()).hasSize(3);
    assertThat(file.survey(file.guess()).rows()).isEqualTo(1);
  }

  private static KeywordFile file(String text) {
    return new KeywordFile(text.getBytes(StandardCharsets.UTF_8));
  }
}
