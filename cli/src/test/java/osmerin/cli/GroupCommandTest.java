package osmerin.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
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
    assertThat(lines).hasSize(4);
    assertThat(lines.get(2)).startsWith("fish in the dark,night fishing,no,");
    assertThat(errors.toString()).contains("line 4", "lots", "value dropped, keyword kept");
  }

  @Test
  void badInputEndsWithTwoAndNamesTheFile() throws Exception {
    assertThat(run("date,clicks\n1,2\n")).isEqualTo(2);
    assertThat(errors.toString()).contains("keywords.csv", "No column holds keywords");
    assertThat(out).doesNotExist();
    assertThat(run("")).isEqualTo(2);
    assertThat(run("keyword\nx\n", "--min-shared", "40")).isEqualTo(2);
    assertThat(run("keyword\nx\n", "--mode", "wild")).isEqualTo(2);
    assertThat(run("keyword\nx\n", "--near", "90")).isEqualTo(2);
    assertThat(errors.toString()).contains("nearness 90 is not between 30 and 60");
  }

  @Test
  void keywordsWithoutPagesAreGroupedByMeaningAndTheDialCounts() throws Exception {
    String file =
        "keyword,volume\nhow to get rid of aphids,900\nhow to kill aphids,300\n"
            + "rye bread starter,200\nhow to feed a rye starter,100\n";
    assertThat(run(file)).isZero();
    List<String> lines = Files.readAllLines(out);
    assertThat(lines)
        .anySatisfy(
            line ->
                assertThat(line)
                    .startsWith("how to kill aphids,how to get rid of aphids,no,")
                    .matches(".*,0,0\\.\\d\\d"));
    long together = groups(lines);
    assertThat(run(file, "--near", "60")).isZero();
    assertThat(groups(Files.readAllLines(out))).isGreaterThanOrEqualTo(together);
  }

  private static long groups(List<String> lines) {
    return lines.stream().skip(1).map(line -> line.split(",")[1]).distinct().count();
  }

  @Test
  void rankingPagesComeFromAFileOfTheirOwn() throws Exception {
    Path ranking = folder.resolve("ranking.csv");
    Files.writeString(
        ranking,
        "keyword,position,url\n"
            + "night fishing,1,a.example/1\nnight fishing,2,a.example/2\nnight fishing,3,a.example/3\n"
            + "Fish in the dark,2,a.example/1\nFish in the dark,1,a.example/2\n"
            + "Fish in the dark,3,a.example/3\nunknown,1,a.example/1\n");
    String file = "keyword,volume\nnight fishing,90\nfish in the dark,10\n";
    assertThat(run(file, "--ranking", ranking.toString())).isZero();
    assertThat(Files.readAllLines(out))
        .hasSize(3)
        .anySatisfy(
            l -> assertThat(l).startsWith("fish in the dark,night fishing,no,").endsWith(",3,"));
  }

  @Test
  void writesWhatEachGroupIsWorth() throws Exception {
    Path file = folder.resolve("keywords.csv");
    Files.writeString(
        file, "keyword,volume,difficulty\neel trap,1000,40\nrye bread,500,\nreel,1K-10K,40\n");
    String[] args = {
      "worth", "--keywords", file.toString(), "--strength", "40", "--out", out.toString()
    };
    assertThat(execute(args)).isZero();
    List<String> lines = new ArrayList<>(Files.readAllLines(out));
    assertThat(lines.get(0))
        .isEqualTo(
            "group,topic,keywords,volume,difficulty,chance,expected_visits,weeks_low,weeks_high,hours,yield");
    // 0.5 · 1000 · the share at 5.5, that is half way between 0.0477 and 0.0390.
    assertThat(lines)
        .anySatisfy(
            line ->
                assertThat(line)
                    .startsWith("reel,")
                    .endsWith(",1,1000-10000,40,0.5,21.67-216.72,8,20,8,32.51-325.07"));
    lines.removeIf(line -> line.startsWith("reel,"));
    assertThat(lines.get(1)).startsWith("eel trap,").endsWith(",1,1000,40,0.5,21.67,8,20,8,32.51");
    assertThat(lines.get(2)).startsWith("rye bread,").endsWith(",1,500,,,,,,8,");
    args[4] = "140";
    assertThat(execute(args)).isEqualTo(2);
    assertThat(errors.toString()).contains("--strength", "140");
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
