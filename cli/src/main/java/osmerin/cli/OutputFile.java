package osmerin.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import picocli.CommandLine.Option;

/** The file a command writes. */
final class OutputFile {
  @Option(
      names = "--out",
      required = true,
      paramLabel = "FILE",
      description = "where the result goes")
  private Path out;

  /**
   * Writes it whole.
   *
   * @throws IOException when it cannot be written; the message names it
   */
  void write(Consumer<Writer> content) throws IOException {
    try (Writer writer = Files.newBufferedWriter(out)) {
      content.accept(writer);
    } catch (IOException | UncheckedIOException e) {
      throw new IOException(out + ": cannot be written (" + e.getMessage() + ")", e);
    }
  }
}
