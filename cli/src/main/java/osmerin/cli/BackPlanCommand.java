package osmerin.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import osmerin.formats.runup.BackPlanFile;
import osmerin.formats.text.UnreadableFileException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Works a run-up back from its publish day. */
@Command(
    name = "backplan",
    description = "Works the steps of a JSON file back from the publish day, and prints the dates.",
    mixinStandardHelpOptions = true)
final class BackPlanCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE.json", description = "publish day, calendars, people and steps")
  private Path file;

  @Override
  public Integer call() throws IOException {
    try {
      spec.commandLine().getOut().println(BackPlanFile.answer(Files.readAllBytes(file)));
      spec.commandLine().getOut().flush();
      return 0;
    } catch (NoSuchFileException e) {
      throw new IOException(file + " is not there.", e);
    } catch (UnreadableFileException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
