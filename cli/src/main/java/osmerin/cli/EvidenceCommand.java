package osmerin.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Counted;
import osmerin.formats.evidence.EvidenceFile;
import osmerin.formats.evidence.SavedPages;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Draws evidence from web pages that were saved into a folder. */
@Command(
    name = "evidence",
    description = "Draws from saved web pages what those that rank have in common.",
    mixinStandardHelpOptions = true)
final class EvidenceCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;
  @Mixin private OutputFile out;

  @Option(
      names = "--pages",
      required = true,
      paramLabel = "DIR",
      description = "folder with the saved pages, .html or .htm")
  private Path pages;

  @Option(names = "--primary", paramLabel = "KEYWORD", description = "the keyword they rank for")
  private @Nullable String primary;

  @Option(
      names = "--words-only",
      description = "gather what pages say by their words alone, which is quicker")
  private boolean wordsOnly;

  @Override
  public Integer call() throws IOException {
    SavedPages saved = read();
    Meaning meaning = wordsOnly ? null : ShippedMeaning.of(spec.commandLine().getErr());
    String file = EvidenceFile.of(saved.pages(), primary, meaning);
    out.write(
        writer -> {
          try {
            writer.write(file);
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
    saved.passedOver().forEach(spec.commandLine().getErr()::println);
    spec.commandLine().getOut().printf("%s%n", Counted.of(saved.pages().size(), "page"));
    return 0;
  }

  private SavedPages read() throws IOException {
    if (!Files.isDirectory(pages)) {
      throw new IOException(pages + " is not a folder.");
    }
    return SavedPages.of(pages);
  }
}
