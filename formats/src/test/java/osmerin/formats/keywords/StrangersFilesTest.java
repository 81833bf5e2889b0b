package osmerin.formats.keywords;

import static org.assertj.core.api.Assertions.assertThat;
import static osmerin.formats.keywords.Column.COST_PER_CLICK;
import static osmerin.formats.keywords.Column.DIFFICULTY;
import static osmerin.formats.keywords.Column.INTENT;
import static osmerin.formats.keywords.Column.KEYWORD;
import static osmerin.formats.keywords.Column.OTHER;
import static osmerin.formats.keywords.Column.OWN_PAGE;
import static osmerin.formats.keywords.Column.OWN_POSITION;
import static osmerin.formats.keywords.Column.POSITION;
import static osmerin.formats.keywords.Column.RANKING_PAGES;
import static osmerin.formats.keywords.Column.VOLUME;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.Volume;
import osmerin.formats.table.Delimiter;
import osmerin.formats.table.Source;

/** Files in the shapes in which tools of other people export them. */
class StrangersFilesTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Keyword;Search Volume;KD %;CPC (EUR);Intent",
        "KEYWORDS;Avg. monthly searches;Keyword difficulty;Cost per click [USD];User intent",
        "Search term;Volume/month;SEO difficulty (0-100);CPC in $;Search intent",
        "Suchbegriff;Suchvolumen;Schwierigkeit;Klickpreis;Suchintention",
        "Suchbegriff (Keyword);Ø Suchvol./Monat;Wettb. KD %;CPC (EUR);Search Intent",
        "Suchanfrage;Suchanfragen pro Monat;Schwierigkeitsgrad;Kosten pro Klick;Absicht",
        "Mot-clé;Volume de recherche;Difficulté;Coût par clic (€);Intention de recherche",
        "Requête;Recherches mensuelles;Difficulté du mot-clé;CPC moyen;Intention",
        "Palabra clave;Volumen de búsqueda;Dificultad;Coste por clic;Intención",
        "Consulta;Búsquedas mensuales;Dificultad de la palabra clave;CPC;Intención de búsqueda",
        "Parola chiave;Volume di ricerca;Difficoltà;Costo per clic;Intento",
        "Parole chiave;Ricerche mensili;Difficoltà (%);CPC €;Intenzione di ricerca",
        "Palavra-chave;Volume de pesquisa;Dificuldade;Custo por clique;Intenção",
        "Termo;Pesquisas mensais;Dificuldade KD;CPC R$;Intenção de pesquisa",
        "Zoekwoord;Zoekvolume;Moeilijkheid;Kosten per klik;Zoekintentie",
        "Zoekterm;Zoekopdrachten per maand;Moeilijkheidsgraad;Klikprijs;Intentie",
      })
  void headersInSevenLanguagesAreKnown(String header) {
    FileReading reading =
        file(header + "\nnight fishing;1.300;45;0,75;info\ncarp bait;90;n/a;k. A.;comm\n").guess();
    assertThat(reading.columns())
        .containsExactly(KEYWORD, VOLUME, DIFFICULTY, COST_PER_CLICK, INTENT);
    assertThat(reading.headerRow()).isEqualTo(1);
  }

  @Test
  void pagesWithinACellAreNoEvidenceForTheirDelimiter() {
    String pages =
        IntStream.range(0, 10)
            .mapToObj(i -> "https://site" + i + ".example/reels")
            .collect(Collectors.joining("|"));
    KeywordFile file =
        file(
            "Keyword,Search Volume,Ranking pages\nfishing reel,1300,%1$s\nfly reel,40,%1$s\n"
                .formatted(pages));
    FileReading reading = file.guess();
    assertThat(((Source.Delimited) reading.source()).delimiter()).isEqualTo(Delimiter.COMMA);
    assertThat(reading.columns()).containsExactly(KEYWORD, VOLUME, RANKING_PAGES);
    assertThat(file.read().keywords()).extracting(k -> k.pages().size()).containsOnly(10);
  }

  @Test
  void quotedFieldsAreNoEvidenceForADelimiter() {
    String row = "\"%s\",\"%d\",\"https://a.example/x;https://b.example/y;https://c.example/z\"\n";
    KeywordFile file =
        file(
            "\"Keyword\",\"Volume\",\"URLs\"\n"
                + row.formatted("night fishing", 10)
                + row.formatted("eel trap", 20));
    assertThat(((Source.Delimited) file.guess().source()).delimiter()).isEqualTo(Delimiter.COMMA);
    assertThat(file.read().keywords()).extracting(k -> k.pages().size()).containsOnly(3);
  }

  @Test
  void aTitleThatHoldsTheWordKeywordIsNoHeader() {
    FileReading reading =
        file("""
            Keyword export for "River Notes" - 12 May;;

            Keyword;Volume;Notes
            night fishing;10;x
            """)
            .guess();
    assertThat(reading.headerRow()).isEqualTo(2);
    assertThat(reading.columns()).containsExactly(KEYWORD, VOLUME, OTHER);
  }

  @Test
  void aValueThatCannotBeReadIsDroppedAndTheKeywordKept() {
    KeywordRows rows =
        file("""
            keyword;volume;difficulty;cpc;intent
            night fishing;k. A.;n/v;–;info
            carp bait;many;130;free;curious
            eel trap;10;20;0,50;trans
            """)
            .read();
    assertThat(rows.keywords())
        .extracting(Keyword::text)
        .containsExactly("night fishing", "carp bait", "eel trap");
    assertThat(rows.rejected()).isZero();
    assertThat(rows.problems())
        .extracting(RowProblem::reason, RowProblem::value)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("Search volume is not a number", "many"),
            org.assertj.core.groups.Tuple.tuple("Difficulty is above 100", "130"),
            org.assertj.core.groups.Tuple.tuple("Cost per click is not a number", "free"),
            org.assertj.core.groups.Tuple.tuple("Intent is not one we know", "curious"));
  }

  @Test
  void whereTheHeaderSaysNothingTheValuesDecide() {
    FileReading reading =
        file("""
            Keyword;A;B;C;D;E
            night fishing;35;1300;$0.75;I;https://a.example/x https://b.example/y
            carp bait;4;90;$1.20;C;https://c.example/x https://d.example/y
            eel trap;61;12100;$0.05;T;https://e.example/x https://f.example/y
            """)
            .guess();
    assertThat(reading.columns())
        .containsExactly(KEYWORD, DIFFICULTY, VOLUME, COST_PER_CLICK, INTENT, RANKING_PAGES);
  }

  @Test
  void aColumnAboutPageFeaturesIsNoColumnOfRankingPages() {
    FileReading reading =
        file("""
            Keyword,Volume,SERP Features,SERP
            night fishing,10,"Video, People also ask",https://a.example/x
            eel trap,20,Reviews,https://b.example/y
            """)
            .guess();
    assertThat(reading.columns()).containsExactly(KEYWORD, VOLUME, OTHER, RANKING_PAGES);
  }

  @Test
  void aSummaryOfTheNumberOfResultsIsNotReadAsPages() {
    FileReading reading =
        file("Keyword,Volume,Results,Trend\nreel,10,1200000,\"1,2,3\"\nbait,20,90000,\"3,2,1\"\n")
            .guess();
    assertThat(reading.columns()).containsExactly(KEYWORD, VOLUME, OTHER, OTHER);
  }

  @Test
  void ownPositionAndOwnPageHaveAPlace() {
    KeywordFile file =
        file(
            """
            Keyword,Position,Volume,URL
            night fishing,3,10,https://river.example/night
            eel trap,11,20,https://river.example/eels
            carp bait,,30,https://river.example/bait
            """);
    assertThat(file.guess().columns()).containsExactly(KEYWORD, OWN_POSITION, VOLUME, OWN_PAGE);
    KeywordRows rows = file.read();
    assertThat(rows.own().get("eel trap").position()).isEqualTo(11);
    assertThat(rows.own().get("carp bait").position()).isNull();
    assertThat(rows.own()).hasSize(3);
    assertThat(rows.keywords()).allSatisfy(k -> assertThat(k.pages()).isEmpty());
  }

  @Test
  void aRowForEachPageIsNotTakenForOwnRankings() {
    FileReading reading =
        file("""
            Keyword,Position,URL
            night fishing,1,https://a.example/night
            night fishing,2,https://b.example/night
            eel trap,1,https://a.example/eels
            eel trap,2,https://c.example/eels
            """)
            .guess();
    assertThat(reading.columns()).containsExactly(KEYWORD, POSITION, RANKING_PAGES);
  }

  @Test
  void aRangeKeepsItsEnds() {
    KeywordRows rows = file("keyword,volume\nnight fishing,1K–10K\neel trap,10 - 100\n").read();
    assertThat(rows.keywords())
        .extracting(Keyword::volume)
        .containsExactly(new Volume(3162, 1000, 10_000), new Volume(32, 10, 100));
  }

  @Test
  void theLineThatAddsUpIsNoKeyword() {
    KeywordRows rows =
        file("keyword,volume\nnight fishing,10\neel trap,20\nTotal: 2 keywords,30\n").read();
    assertThat(rows.keywords()).hasSize(2);
    assertThat(rows.problems())
        .extracting(RowProblem::reason)
        .containsExactly("A total, not a keyword");
    assertThat(file("keyword\ntotal carp weight\nsum of fishing\n").read().keywords()).hasSize(2);
  }

  @Test
  void theSeparatorNotedInTheFirstLineIsNoHeader() {
    FileReading reading = file("sep=;\nKeyword;Volume\nnight fishing;10\n").guess();
    assertThat(reading.columns()).containsExactly(KEYWORD, VOLUME);
  }

  @Test
  void phrasesWithCommasStayWhole() {
    List<Keyword> keywords =
        file("keyword\tvolume\tpages\nline, hook and sinker\t10\thttps://a.example/x,y\nreel\t9\t\n")
            .read()
            .keywords();
    assertThat(keywords).extracting(Keyword::text).contains("line, hook and sinker");
  }

  private static KeywordFile file(String text) {
    return new KeywordFile(text.getBytes(StandardCharsets.UTF_8));
  }
}
