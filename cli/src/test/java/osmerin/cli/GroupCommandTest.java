package osmerin.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class GroupCommandTest {
  @TempDir private Path folder;
  private final StringWriter errors = new StringWriter();
  private Path out;

  @BeforeEach
  void nameTheOutput() {
    out = folder.resolve("groups.csv");
  }

  @Test
  void writesOneRowForEachKeyword() throws Exception {
    int code =
        run(
            "keyword,volume,urls\n"
                + "night fishing,90,a.example/1 a.example/2 a.example/3\n"
                + "fish in the dark,10,a.example/1 a.example/2 a.example/3\n"
                + "eel trap,lots,\n");
    assertThat(code).isZero();
    List<String> lines = Files.readAllLines(out);
    assertThat(lines).hasSize(3);
    assertThat(lines.get(2)).startsWith("fish in the dark,night fishing,no,");
    assertThat(errors.toString()).contains("line 4", "lots", "left out");
  }

  @Test
  void badInputEndsWithTwoAndNamesTheFile() throws Exception {
    assertThat(run("date,clicks\n1,2\n")).isEqualTo(2);
    assertThat(errors.toString()).contains("keywords.csv", "No column holds keywords");
    assertThat(out).doesNotExist();
    assertThat(run("")).isEqualTo(2);
    assertThat(run("keyword\nx\n", "--min-shared", "40")).isEqualTo(2);
    assertThat(run("keyword\nx\n", "--mode", "wild")).isEqualTo(2);
  }

  @Test
  void aMissingFileIsNamed() {
    assertThat(execute("group", "--keywords", "nowhere.csv", "--out", out.toString())).isEqualTo(2);
    assertThat(errors.toString()).contains("nowhere.csv", "no such file");
  }

  private int run(String content, String... more) throws Exception {
    Path file = folder.resolve("keywords.csv");
    Files.writeString(file, content);
    String[] args = {"group", "--keywords", file.toString(), "--out", out.toString()};
    String[] all =
        java.util.stream.Stream.of(args, more)
            .flatMap(java.util.Arrays::stream)
            .toArray(String[]::new);
    return execute(all);
  }

  private int execute(String... args) {
    return OsmerinCommand.commandLine().setErr(new PrintWriter(errors, true)).execute(args);
  }
}
