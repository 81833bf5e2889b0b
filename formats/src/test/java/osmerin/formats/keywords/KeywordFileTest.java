package osmerin.formats.keywords;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.StringWriter;
import java.math.BigDecimal;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.KeywordFigures;
import osmerin.core.keyword.Volume;
import osmerin.core.topic.Topics;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

class KeywordFileTest {
  @Test
  void bytesThatAreNoTextLateInAFileAreLeftOutAndSaid() {
    StringBuilder text = new StringBuilder("keyword,volume\n");
    for (int i = 0; i < 2_000; i++) {
      text.append("eel trap ").append(i).append(",10\n");
    }
    text.append("smelt\0 net,20\npike\u0001 rod,30\n");
    byte[] whole = text.toString().getBytes(StandardCharsets.UTF_8);
    byte[] broken = java.util.Arrays.copyOf(whole, whole.length + 11);
    System.arraycopy("tench".getBytes(StandardCharsets.UTF_8), 0, broken, whole.length, 5);
    System.arraycopy(new byte[] {0, ' ', 'b', 'a', 'i', 't'}, 0, broken, whole.length + 5, 6);
    KeywordRows rows = new KeywordFile(broken).read();
    assertThat(rows.keywords())
        .extracting(Keyword::text)
        .contains("smelt net", "pike rod", "tench bait")
        .hasSize(2_003);
    assertThat(rows.problems())
        .hasSize(3)
        .allSatisfy(p -> assertThat(p.reason()).contains("not text"))
        .noneMatch(RowProblem::rejected)
        .noneMatch(p -> (p.text() + p.value()).contains("\0"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      quoteCharacter = '`',
      value = {
        "=1+1 ~ '=1+1",
        "+49 ~ '+49",
        "-x ~ '-x",
        "@x ~ '@x",
        "eels;=1+1 ~ eels;'=1+1",
        "eels; =1+1 ~ eels; '=1+1",
        "eels;\"=1+1 ~ eels;\"'=1+1",
        "eels - smelt ~ eels - smelt",
        "a=b ~ a=b",
      })
  void noCellIsAFormulaWhateverEndsCells(String text, String written) {
    assertThat(GroupFile.defused(text)).isEqualTo(written);
  }

  @Test
  void readsEveryColumn() {
    KeywordRows rows =
        file("""
                Keyword;Search Volume;KD %;CPC (EUR);Intent;SERP URLs
                night fishing;1.300;45;0,75;Informational;https://a.example/x https://b.example/y
                carp bait;12.100;n/a;1,20;T;"a.example/x | b.example/z, c.example/w"
                """)
            .read();
    assertThat(rows.keywords())
        .extracting(Keyword::volume)
        .containsExactly(Volume.exactly(1300), Volume.exactly(12100));
    Keyword first = rows.keywords().get(0);
    assertThat(first.difficulty()).isEqualTo(45);
    assertThat(first.costPerClick()).isEqualByComparingTo(new BigDecimal("0.75"));
    assertThat(first.intent()).isEqualTo(SearchIntent.INFORMATIONAL);
    assertThat(first.pages()).hasSize(2);
    assertThat(rows.keywords().get(1).pages()).hasSize(3);
    assertThat(rows.keywords().get(1).difficulty()).isNull();
    assertThat(rows.problems()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Keyword,Volume",
        "QUERY,Avg. monthly searches",
        "search_term,sv",
        "Phrase,Monthly volume"
      })
  void knowsTheUsualHeaders(String header) {
    FileReading reading = file(header + "\nnight fishing,20\n").guess();
    assertThat(reading.columns()).containsExactly(Column.KEYWORD, Column.VOLUME);
    assertThat(reading.header()).isTrue();
  }

  /** How many bid for an advert says nothing of how hard it is to rank. */
  @ParameterizedTest
  @ValueSource(
      strings = {"Competition (indexed value)", "Competition index", "Wettbewerb (Anzeigen)"})
  void competitionForAdvertsIsNoDifficulty(String header) {
    String rows = "keyword,volume," + header + "\nnight fishing,20,87\ncarp bait,30,12\n";
    assertThat(file(rows).guess().columns())
        .containsExactly(Column.KEYWORD, Column.VOLUME, Column.OTHER);
    String weak = "keyword,volume,Competition\nnight fishing,20,87/100\ncarp bait,30,12/100\n";
    assertThat(file(weak).guess().columns())
        .containsExactly(Column.KEYWORD, Column.VOLUME, Column.DIFFICULTY);
    assertThat(file(weak).read().keywords().get(0).difficulty()).isEqualTo(87);
  }

  @Test
  void aFileWithoutAHeaderIsReadByItsContent() {
    KeywordFile file = file("night fishing,1300,45,https://a.example/x\ncarp bait,20,3,\n");
    FileReading reading = file.guess();
    assertThat(reading.header()).isFalse();
    assertThat(reading.columns())
        .containsExactly(Column.KEYWORD, Column.VOLUME, Column.DIFFICULTY, Column.RANKING_PAGES);
    assertThat(file.read().keywords()).hasSize(2);
    assertThat(file.preview(reading, 1).names().get(0)).isEqualTo("Column 1");
  }

  @Test
  void whatCannotBeReadIsReportedWithLineAndReason() {
    KeywordRows rows =
        file("""
                keyword,volume,difficulty,intent,urls
                night fishing,many,10,I,
                ,20,10,I,

                carp bait,20,130,I,
                eel trap,20,10,curious,not-an-address
                """)
            .read();
    assertThat(rows.rows()).isEqualTo(4);
    assertThat(rows.rejected()).isEqualTo(1);
    assertThat(rows.problems())
        .extracting(RowProblem::line, RowProblem::rejected)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(2L, false),
            org.assertj.core.groups.Tuple.tuple(3L, true),
            org.assertj.core.groups.Tuple.tuple(5L, false),
            org.assertj.core.groups.Tuple.tuple(6L, false),
            org.assertj.core.groups.Tuple.tuple(6L, false));
    assertThat(rows.problems().get(0).reason()).contains("Search volume");
    assertThat(rows.problems().get(0).value()).isEqualTo("many");
    assertThat(rows.problems().get(2).value()).isEqualTo("130");
    assertThat(rows.keywords())
        .extracting(Keyword::text)
        .containsExactly("night fishing", "carp bait", "eel trap");
  }

  @Test
  void aRepeatedKeywordIsOneAndItsLaterFiguresWin() {
    KeywordRows rows = file("keyword,volume,difficulty\nCarp,10,5\n carp ,20,-\n").read();
    assertThat(rows.repeated()).isEqualTo(1);
    assertThat(rows.keywords())
        .containsExactly(
            new Keyword("Carp", new KeywordFigures(Volume.exactly(20), 5, null), null, List.of()));
  }

  @Test
  void withoutAKeywordColumnNothingIsRead() {
    KeywordFile file = file("date,clicks\n2026-01-01,3\n");
    assertThatThrownBy(file::read)
        .isInstanceOfSatisfying(
            UnreadableFileException.class,
            e -> assertThat(e.fault()).isEqualTo(Fault.NO_KEYWORD_COLUMN))
        .hasMessageContaining("date, clicks");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "<?xml version='1.0'?>|<urlset><url><loc>https://a.example/</loc></url></urlset> ~ a sitemap",
        "\uFEFF  <!-- made --><s:sitemapindex xmlns:s='x'/> ~ a sitemap",
        "<?xml version='1.0'?><feed xmlns='http://www.w3.org/2005/Atom'/> ~ a feed",
        "<RSS version='2.0'/> ~ a feed",
        "<!DOCTYPE html>|<html><body>eel trap</body></html> ~ a web page",
        "<?xml version='1.0'?><book/> ~ looks like XML",
      })
  void whatIsNoTableSaysWhatItIs(String text, String says) {
    String lines = text.replace('|', '\n');
    for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16)) {
      KeywordFile file = new KeywordFile(lines.getBytes(charset));
      assertThatThrownBy(file::guess)
          .isInstanceOfSatisfying(
              UnreadableFileException.class, e -> assertThat(e.fault()).isEqualTo(Fault.NO_TABLE))
          .hasMessageContaining(says);
    }
  }

  @Test
  void aTagAmongKeywordsIsAKeyword() {
    assertThat(file("keyword,volume\n<html> tag,30\nrss feed,20\n").read().keywords()).hasSize(2);
    assertThat(file("<html> tag,30\neel trap,20\n").read().keywords()).hasSize(2);
    assertThat(file("\"<rss> feed\",30\n<html lang=en>,20\n").read().keywords()).hasSize(2);
    assertThat(file("<b> or <strong>,30\neel trap,20\n").read().keywords()).hasSize(2);
  }

  @Test
  void aPersonsCorrectionIsFollowed() {
    KeywordFile file = file("topic,clicks\nnight fishing,3\n");
    FileReading guessed = file.guess();
    FileReading corrected =
        new FileReading(guessed.source(), 1, List.of(Column.KEYWORD, Column.OTHER));
    assertThat(file.read(corrected).keywords())
        .extracting(Keyword::text)
        .containsExactly("night fishing");
  }

  @Test
  void addressesMayHoldCommas() {
    KeywordRows rows =
        file("keyword\turls\nx\thttps://a.example/b,c;d,https://e.example/f\n").read();
    assertThat(rows.keywords().get(0).pages()).hasSize(2);
  }

  @Test
  void groupsAreWrittenOneRowAKeyword() {
    List<Keyword> keywords =
        file("""
                keyword,volume,urls
                night fishing,90,a.example/1 a.example/2 a.example/3
                fishing by night,90,
                fish after dark,10,a.example/1 a.example/2 a.example/3
                =cmd(),5,
                """)
            .read()
            .keywords();
    List<KeywordGroup> groups = new Grouping(GroupingSettings.DEFAULT).group(keywords);
    StringWriter out = new StringWriter();
    GroupFile.write(groups, new Topics().gather(groups), out);
    List<String> lines = out.toString().lines().toList();
    assertThat(lines.get(0))
        .isEqualTo(
            "keyword,group,primary,topic,intent,funnel_stage,volume,difficulty,shared_pages,"
                + "nearness");
    assertThat(lines.get(1)).startsWith("night fishing,night fishing,yes,").endsWith(",90,,3,");
    assertThat(lines).hasSize(5);
    assertThat(lines).anySatisfy(line -> assertThat(line).startsWith("'=cmd()"));
    assertThat(lines)
        .anySatisfy(line -> assertThat(line).startsWith("fish after dark,night fishing,no,"));
  }

  private static KeywordFile file(String text) {
    return new KeywordFile(text.getBytes(StandardCharsets.UTF_8));
  }
}
