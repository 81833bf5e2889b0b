package osmerin.formats.limits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.formats.inventory.InventoryFile;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.markdown.Markdown;
import osmerin.formats.text.UnreadableFileException;

/**
 * Each is read or refused within two seconds of processor time and a small heap, in a process of
 * its own. The clock would count what else the machine does.
 */
class HostileFilesTest {
  private static final Duration MOST = Duration.ofSeconds(2);

  /** A process that reads nothing stays below a dozen; then a hundred more. */
  private static final String HEAP = "-Xmx112m";

  /** What every file took, to read after the tests. */
  private static final Path FIGURES = Path.of("target", "hostile-files.txt");

  @TempDir private Path folder;

  static Stream<String> files() {
    return HostileFiles.names().stream();
  }

  @ParameterizedTest
  @MethodSource("files")
  void isReadOrRefusedWithinBounds(String name) throws Exception {
    Path file = folder.resolve(name);
    Files.write(file, HostileFiles.of(name));
    Path said = folder.resolve("said");
    Process process =
        new ProcessBuilder(
                ProcessHandle.current().info().command().orElseThrow(),
                HEAP,
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                Reader.class.getName(),
                file.toString())
            .redirectErrorStream(true)
            .redirectOutput(said.toFile())
            .start();
    boolean ended = process.waitFor(60, TimeUnit.SECONDS);
    process.destroyForcibly();
    String words = Files.readString(said);
    assertThat(ended).as(words).isTrue();
    assertThat(process.exitValue()).as("%s: %s", name, words).isZero();
    List<String> lines = words.lines().toList();
    Files.writeString(
        FIGURES,
        "%s: %s ms, heap at most %s MB%n".formatted(name, lines.get(0), lines.get(1)),
        StandardOpenOption.CREATE,
        StandardOpenOption.APPEND);
    assertThat(Duration.ofMillis(Long.parseLong(lines.get(0)))).as(words).isLessThan(MOST);
  }

  /**
   * Reads one file as keywords and as an inventory, and says how many milliseconds of processor
   * time the slower one took, and the peak of the heap.
   */
  public static final class Reader {
    private Reader() {}

    /** Ends with an error when a reader does anything but read or refuse. */
    public static void main(String[] arguments) throws IOException {
      byte[] bytes = Files.readAllBytes(Path.of(arguments[0]));
      long keywords = timed(() -> new KeywordFile(bytes).read());
      long inventory =
          timed(() -> new InventoryFile("https://e.example", ZoneOffset.UTC).read(bytes));
      System.out.println(Math.max(keywords, inventory));
      System.out.println(peak() / 1_000_000);
    }

    /** Of the heap, what nobody needs any more included. */
    private static long peak() {
      return ManagementFactory.getMemoryPoolMXBeans().stream()
          .filter(pool -> pool.getType() == MemoryType.HEAP)
          .mapToLong(pool -> pool.getPeakUsage().getUsed())
          .sum();
    }

    private static long timed(Runnable reading) {
      OperatingSystemMXBean system =
          ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class);
      long begun = system.getProcessCpuTime();
      try {
        reading.run();
      } catch (UnreadableFileException e) {
        // Refused with a reason.
      }
      return (system.getProcessCpuTime() - begun) / 1_000_000;
    }
  }

  @Test
  void whatIsBeyondALimitIsSaid() {
    refused("cell-of-400-mb.xlsx", "more than 100,000 characters");
    refused("cell-beyond-all-columns.xlsx", "beyond its last possible column");
    refused("cell-of-a-million.csv", "more than 100,000 characters");
    byte[] wide = HostileFiles.text(("keyword" + ",b".repeat(600) + "\n").repeat(5));
    assertThatThrownBy(() -> new KeywordFile(wide).read()).hasMessageContaining("500 columns");
    refused("text-that-is-not-there.xlsx", "cannot be read");
  }

  private static void refused(String name, String words) {
    byte[] bytes = HostileFiles.of(name);
    assertThatThrownBy(() -> new KeywordFile(bytes).read())
        .isInstanceOf(UnreadableFileException.class)
        .hasMessageContaining(words);
  }

  @Test
  void deepXmlAndDocumentTypesAreRefusedByName() {
    for (String name : List.of("deep-feed.xml", "deep-feed-that-ends.xml", "deep-sitemap.xml")) {
      assertThatThrownBy(() -> inventory(name)).hasMessageContaining("deep within each other");
    }
    assertThatThrownBy(() -> inventory("feed-with-laughs.xml"))
        .hasMessageContaining("document type");
    assertThatThrownBy(() -> inventory("sitemap-of-1-gb.xml.gz")).hasMessageContaining("Unpacked");
    assertThatThrownBy(() -> inventory("archive-of-1-gb.zip")).hasMessageContaining("Unpacked");
  }

  private static void inventory(String name) {
    byte[] bytes = HostileFiles.of(name);
    new InventoryFile("https://e.example", ZoneOffset.UTC).read(bytes);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        ">", "> ", "- ", "1. ", "*", "**", "_", "[", "![", "](", "`", "<b>", "\\", "&#", "|"
      })
  void markdownNestedWithoutEndIsShownAsItWasTyped(String sign) {
    String text = sign.repeat(390_000 / sign.length());
    assertThatCode(
            () -> {
              Markdown.html(text);
              Markdown.draft(text).words();
            })
        .doesNotThrowAnyException();
  }

  @Test
  void emphasisWithinEmphasisKeepsItsWords() {
    String deep = "*a **b ".repeat(3_000) + "c" + "** *".repeat(3_000);
    assertThat(Markdown.draft("# Eels\n\n" + deep).words()).isGreaterThan(3_000);
    assertThat(Markdown.html("*a **b** c*")).contains("<em>a <strong>b</strong> c</em>");
  }

  /** Bytes turned at random in files that can be read. */
  @Test
  void brokenBytesAreReadOrRefused() {
    Random random = new Random(3);
    byte[] sound = HostileFiles.of("number-of-a-billion-digits.xlsx");
    for (int i = 0; i < 400; i++) {
      byte[] broken = sound.clone();
      for (int n = 0; n < 1 + random.nextInt(4); n++) {
        broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
      }
      try {
        new KeywordFile(broken).read();
      } catch (UnreadableFileException e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }
}
