package osmerin.formats.limits;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.ReadPage;
import osmerin.core.support.Effort;
import osmerin.core.support.NastyTexts;
import osmerin.formats.evidence.SavedPages;
import osmerin.formats.html.PageReader;
import osmerin.formats.inventory.InventoryFile;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.markdown.Markdown;
import osmerin.formats.markdown.Rendered;
import osmerin.formats.robots.Robots;
import osmerin.formats.runup.BackPlanFile;
import osmerin.formats.text.UnreadableFileException;

/** Text that is costly, not malformed, is read or refused in little time, whatever reads it. */
class NastyTextTest {
  /** Most take a tenth of it; the machine of the tests compiles lightly and is shared. */
  private static final Duration MOST = Duration.ofMillis(600);

  private static final Set<Class<? extends RuntimeException>> REFUSALS =
      Set.of(UnreadableFileException.class, IllegalArgumentException.class);

  /** The longest draft. */
  private static final int DRAFT = 400_000;

  private static Map<String, Consumer<String>> readers() {
    Map<String, Consumer<String>> readers = new LinkedHashMap<>();
    readers.put("a draft as a page", Markdown::html);
    readers.put("a draft for its check", text -> Markdown.draft(text).words());
    readers.put("a page", text -> PageReader.read("p", text));
    readers.put("a page's body", text -> PageReader.read("p", page(text)));
    readers.put("pages brought along", text -> SavedPages.ofUpload("a.html", bytes(page(text))));
    readers.put("robots.txt", text -> Robots.of("https://e.example", bytes(text)).allows("/a"));
    readers.put("run-up", text -> BackPlanFile.answer(bytes("{\"steps\":\"" + text + "\"}")));
    readers.put("keywords", text -> new KeywordFile(bytes(text)).read());
    readers.put(
        "keywords in a column",
        text -> new KeywordFile(bytes("keyword;a\n" + text + ";b\n")).read());
    readers.put("live pages", text -> inventory().read(bytes("url,title\n" + text + ",b\n")));
    readers.put("evidence", NastyTextTest::evidence);
    return readers;
  }

  private static InventoryFile inventory() {
    return new InventoryFile("https://e.example", ZoneOffset.UTC);
  }

  private static String page(String text) {
    return "<html><head><title>Eels</title></head><body><h1>Eels</h1><p>%s</p><h2>%s</h2></body></html>"
        .formatted(text, text);
  }

  private static void evidence(String text) {
    ReadPage one = PageReader.read("a", page(text));
    ReadPage other = PageReader.read("b", page(text + " too"));
    Evidence.of(List.of(one.ranking(), other.ranking()), List.of());
    PagesSay.of(List.of(one, other));
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @ParameterizedTest
  @MethodSource("osmerin.core.support.NastyTexts#names")
  void everyReaderTakesLittleTime(String name) {
    NastyTexts.read(readers(), REFUSALS, name, MOST);
  }

  @ParameterizedTest
  @MethodSource("osmerin.core.support.NastyTexts#names")
  void theLongestDraftTakesASecondAtMost(String name) {
    String text = NastyTexts.of(DRAFT).get(name);
    Effort.within(
        Duration.ofSeconds(1),
        name,
        () -> {
          assertThat(Markdown.html(text).length()).isLessThan(2 * Limits.MARKDOWN_HTML);
          Markdown.draft(text).words();
        });
  }

  @Test
  void aTableOfMillionsOfCellsIsShownAsTyped() {
    Rendered page =
        Markdown.rendered(
            "|a".repeat(20_000) + "|\n" + "|-".repeat(20_000) + "|\n" + "b\n".repeat(2_000));
    assertThat(page.html()).doesNotContain("<td").contains("|a|a");
    assertThat(page.excess()).singleElement().asString().contains("more than 50,000 cells");
  }

  @Test
  void manyTablesAndTablesInListsAndQuotationsCountToo() {
    String table = "|a".repeat(300) + "|\n" + "|-".repeat(300) + "|\n" + "b\n".repeat(100) + "\n";
    assertThat(Markdown.rendered(table).excess()).isEmpty();
    assertThat(Markdown.rendered(table.repeat(3)).excess()).hasSize(1);
    String quoted =
        table.repeat(3).lines().map(line -> "> " + line + "\n").reduce("", String::concat);
    assertThat(Markdown.rendered(quoted).excess()).hasSize(1);
  }

  @Test
  void aPageThatMultipliesItselfIsShownAsTyped() {
    String links = "[a]: https://e.example/" + "x".repeat(1_500) + "\n\n" + "[a] ".repeat(900);
    String text = (links + "\n\n").repeat(6);
    assertThat(Markdown.rendered(text).excess()).singleElement().asString().contains("longer than");
    assertThat(Markdown.html(text)).startsWith("<pre>");
  }

  @Test
  void tagsThatMultiplyEachOtherAreShownAsTyped() {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < 20_000; i++) {
      text.append("<b id=").append(i).append("><p>");
    }
    Effort.within(Duration.ofSeconds(1), "formatting", () -> Markdown.html(text.toString()));
    assertThat(Markdown.rendered(text.toString()).excess())
        .anySatisfy(said -> assertThat(said).contains("more HTML"));
    String few = "<b>one</b> <i>two</i>";
    assertThat(Markdown.rendered(few).html()).contains(few);
  }

  /** As when it was pasted from a program that knows no line ends. */
  @Test
  void aLongParagraphWithATagInItIsReadWhole() {
    String text = "Some words ".repeat(1_200) + "and <b>more</b> of them.";
    assertThat(Markdown.rendered(text).excess()).isEmpty();
    assertThat(Markdown.html(text)).contains("<b>more</b>");
  }

  /** What people write in earnest is far from every bound. */
  @Test
  void aLongHonestDraftIsReadWhole() {
    String section =
        "## A heading\n\nSome *words* with a [link](https://e.example/a), `code` and **more**.\n\n"
            + "| a | b | c |\n|---|---|---|\n"
            + "| one | *two* | three |\n".repeat(40)
            + "\n- one\n- two\n  - three\n\n";
    Rendered page = Markdown.rendered(section.repeat(200));
    assertThat(page.excess()).isEmpty();
    assertThat(page.html()).contains("<td>one</td>");
  }
}
