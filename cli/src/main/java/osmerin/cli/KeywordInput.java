package osmerin.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.Nearness;
import osmerin.core.text.Counted;
import osmerin.core.topic.Topic;
import osmerin.core.topic.Topics;
import osmerin.formats.keywords.KeywordFile;
import osmerin.formats.keywords.KeywordRows;
import osmerin.formats.keywords.RowProblem;
import osmerin.formats.text.UnreadableFileException;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The keywords a command works on, and how they are grouped. */
final class KeywordInput {
  private static final int PROBLEMS_SHOWN = 20;

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Option(
      names = "--keywords",
      required = true,
      paramLabel = "FILE",
      description = "keyword research: CSV, TSV or XLSX")
  private Path keywords;

  @Option(
      names = "--ranking",
      paramLabel = "FILE",
      description = "ranking pages: a row for each keyword, or for each keyword and position")
  private @Nullable Path ranking;

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

  @Option(
      names = "--near",
      defaultValue = "" + Nearness.DEFAULT_HUNDREDTHS,
      description =
          "how near in meaning keywords must be where pages do not decide, 30–60: less puts more"
              + " together (default ${DEFAULT-VALUE})")
  private int near;

  private @Nullable Meaning meaning;

  /**
   * Reads and groups; rows that cannot be read are reported.
   *
   * @throws IOException when a file cannot be read; the message names it
   */
  List<KeywordGroup> groups() throws IOException {
    meaning = ShippedMeaning.of(spec.commandLine().getErr());
    Grouping grouping = new Grouping(settings(), meaning);
    List<Keyword> read = read(keywords).keywords();
    if (ranking != null) {
      read = KeywordRows.withPages(read, read(ranking).keywords());
    }
    return grouping.group(read);
  }

  /** Gathers groups into topics, once they were made. */
  List<Topic> topics(List<KeywordGroup> groups) {
    return new Topics(meaning).gather(groups);
  }

  private GroupingSettings settings() {
    try {
      return new GroupingSettings(minShared, GroupingSettings.DEFAULT.depth(), mode, near);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), e.getMessage(), e);
    }
  }

  private KeywordRows read(Path file) throws IOException {
    try {
      KeywordRows rows = new KeywordFile(Files.readAllBytes(file)).read();
      report(file, rows);
      return rows;
    } catch (NoSuchFileException e) {
      throw new IOException(file + ": there is no such file", e);
    } catch (UnreadableFileException e) {
      throw new UnreadableFileException(e.fault(), file + ": " + e.getMessage());
    }
  }

  private void report(Path file, KeywordRows rows) {
    PrintWriter err = spec.commandLine().getErr();
    for (RowProblem problem : rows.problems().stream().limit(PROBLEMS_SHOWN).toList()) {
      String outcome = problem.rejected() ? "row left out" : "value dropped, keyword kept";
      String value = problem.value().isEmpty() ? "" : " (“" + problem.value() + "”)";
      err.printf("%s, line %d: %s%s: %s%n", file, problem.line(), problem.reason(), value, outcome);
    }
    int more = rows.problems().size() - PROBLEMS_SHOWN;
    if (more > 0) {
      err.printf("%s: %s with problems%n", file, Counted.of(more, "more row", "more rows"));
    }
  }
}
