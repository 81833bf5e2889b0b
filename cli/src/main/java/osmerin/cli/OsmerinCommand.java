package osmerin.cli;

import java.io.IOException;
import osmerin.formats.text.UnreadableFileException;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line. Exit code 0, or 2 for bad input with a message that names file and reason. */
@Command(
    name = "osmerin",
    description = "Computes on files, without a database.",
    mixinStandardHelpOptions = true,
    subcommands = {
      GroupCommand.class,
      WorthCommand.class,
      EvidenceCommand.class,
      BackPlanCommand.class
    })
public final class OsmerinCommand {
  /** Runs and ends the process with the exit code. */
  public static void main(String[] args) {
    System.exit(commandLine().execute(args));
  }

  static CommandLine commandLine() {
    return new CommandLine(new OsmerinCommand())
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setExecutionExceptionHandler(OsmerinCommand::explain);
  }

  private static int explain(Exception e, CommandLine command, CommandLine.ParseResult result)
      throws Exception {
    if (e instanceof UnreadableFileException || e instanceof IOException) {
      command.getErr().println(e.getMessage());
      return CommandLine.ExitCode.USAGE;
    }
    throw e;
  }
}
