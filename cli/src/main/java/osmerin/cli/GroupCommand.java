package osmerin.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.text.Counted;
import osmerin.core.topic.Topic;
import osmerin.core.topic.Topics;
import osmerin.formats.keywords.GroupFile;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;
import osmerin.formats.keywords.RowProblem;
import osmerin.formats.text.UnreadableFileException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Groups the keywords of a file. */
@Command(
    name = "group",
    description = "Groups the keywords of a file and gathers the groups into topics.",
    mixinStandardHelpOptions = true)
final class GroupCommand implements Callable<Integer> {
  private static final int PROBLEMS_SHOWN = 20;

  @Spec private CommandSpec spec;

  @Option(
      names = "--keywords",
      required = true,
      paramLabel = "FILE",
      description = "keyword research as CSV")
  private Path keywords;

  @Option(
      names = "--out",
      required = true,
      paramLabel = "FILE",
      description = "where the groups go, as CSV")
  private Path out;

  @Option(
      names = "--min-shared",
      defaultValue = "3",
      description = "ranking pages two keywords must share, 1–10 (default ${DEFAULT-VALUE})")
  private int minShared;

  @Option(
      names = "--mode",
      defaultValue = "loose",
      description = "loose or strict (default ${DEFAULT-VALUE})")
  private GroupingSettings.Mode mode;

  @Override
  public Integer call() throws IOException {
    Grouping grouping = new Grouping(settings());
    KeywordRows rows = read();
    report(rows);
    List<KeywordGroup> groups = grouping.group(rows.keywords());
    List<Topic> topics = new Topics().gather(groups);
    try (Writer writer = Files.newBufferedWriter(out)) {
      GroupFile.write(groups, topics, writer);
    } catch (IOException e) {
      throw new IOException(out + ": cannot be written (" + e.getMessage() + ")", e);
    }
    spec.commandLine()
        .getOut()
        .println(
            Counted.of(rows.keywords().size(), "keyword")
                + ", "
                + Counted.of(groups.size(), "group")
                + ", "
                + Counted.of(topics.size(), "topic"));
    return 0;
  }

  private GroupingSettings settings() {
    try {
      return new GroupingSettings(minShared, GroupingSettings.DEFAULT.depth(), mode);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--min-shared: " + e.getMessage(), e);
    }
  }

  private KeywordRows read() throws IOException {
    try {
      return new KeywordFile(Files.readAllBytes(keywords)).read();
    } catch (NoSuchFileException e) {
      throw new IOException(keywords + ": there is no such file", e);
    } catch (UnreadableFileException e) {
      throw new UnreadableFileException(e.fault(), keywords + ": " + e.getMessage());
    }
  }

  private void report(KeywordRows rows) {
    PrintWriter err = spec.commandLine().getErr();
    for (RowProblem problem : rows.problems().stream().limit(PROBLEMS_SHOWN).toList()) {
      String kept = problem.rejected() ? "left out" : "kept";
      err.printf("%s, line %d: %s; row %s%n", keywords, problem.line(), problem.reason(), kept);
    }
    int more = rows.problems().size() - PROBLEMS_SHOWN;
    if (more > 0) {
      err.printf("%s: %s with problems%n", keywords, Counted.of(more, "more row", "more rows"));
    }
  }
}
