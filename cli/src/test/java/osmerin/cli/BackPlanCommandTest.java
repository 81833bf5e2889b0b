package osmerin.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackPlanCommandTest {
  @TempDir private Path folder;
  private final StringWriter out = new StringWriter();
  private final StringWriter errors = new StringWriter();

  @Test
  void printsTheDates() throws Exception {
    Path file =
        write(
            """
            {"publish":"2026-06-12","today":"2026-06-01","workingDays":["MON","TUE","WED","THU","FRI"],
             "steps":[{"id":"draft","days":3}]}
            """);
    assertThat(run(file.toString())).isZero();
    assertThat(out.toString()).contains("\"state\" : \"on_course\"", "\"2026-06-11\"");
  }

  @Test
  void badInputEndsWithTwoAndNamesFileAndFault() throws Exception {
    Path file = write("{\"publish\":\"2026-06-31\"}");
    assertThat(run(file.toString())).isEqualTo(2);
    assertThat(errors.toString()).contains("plan.json", "“publish” is not a date");
    assertThat(run(folder.resolve("none.json").toString())).isEqualTo(2);
    assertThat(errors.toString()).contains("none.json is not there");
    assertThat(run()).isEqualTo(2);
  }

  private Path write(String text) throws Exception {
    return Files.writeString(folder.resolve("plan.json"), text);
  }

  private int run(String... arguments) {
    String[] all = new String[arguments.length + 1];
    all[0] = "backplan";
    System.arraycopy(arguments, 0, all, 1, arguments.length);
    return OsmerinCommand.commandLine()
        .setOut(new PrintWriter(out, true))
        .setErr(new PrintWriter(errors, true))
        .execute(all);
  }
}
