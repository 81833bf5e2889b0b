package osmerin.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EvidenceCommandTest {
  @TempDir private Path folder;
  private final StringWriter out = new StringWriter();
  private final StringWriter errors = new StringWriter();

  private int run(String... arguments) {
    String[] all = new String[arguments.length + 1];
    all[0] = "evidence";
    System.arraycopy(arguments, 0, all, 1, arguments.length);
    return OsmerinCommand.commandLine()
        .setOut(new PrintWriter(out, true))
        .setErr(new PrintWriter(errors, true))
        .execute(all);
  }

  private Path pages(String... bodies) throws Exception {
    Path pages = Files.createDirectories(folder.resolve("pages"));
    for (int i = 0; i < bodies.length; i++) {
      Files.writeString(pages.resolve("p" + i + ".html"), "<title>Bread</title>" + bodies[i]);
    }
    return pages;
  }

  @Test
  void writesWhatThePagesHaveInCommon() throws Exception {
    Path pages =
        pages(
            "<nav>Menu of it all</nav><main><h1>How to bake bread</h1><h2>Why does it rise?</h2>"
                + "<p>Wild yeast makes the dough rise within eight hours.</p></main>",
            "<main><h1>How to bake bread</h1><h2>Oven</h2>"
                + "<p>Within eight hours wild yeast has made the dough rise.</p></main>");
    Files.writeString(pages.resolve("notes.txt"), "not a page");
    Files.writeString(pages.resolve("empty.htm"), "<body></body>");
    Path file = folder.resolve("e.json");
    assertThat(run("--pages", pages.toString(), "--primary", "bread", "--out", file.toString()))
        .isZero();
    assertThat(out.toString()).contains("2 pages");
    assertThat(errors.toString()).contains("empty.htm: has no text.");
    JsonNode answer = JsonMapper.shared().readTree(Files.readString(file));
    assertThat(answer.get("primary").asString()).isEqualTo("bread");
    JsonNode first = answer.get("pages").get(0);
    assertThat(first.get("file").asString()).isEqualTo("p0.html");
    assertThat(first.get("kind").asString()).isEqualTo("definition");
    assertThat(first.get("words").asInt()).isEqualTo(17);
    assertThat(first.get("kept_share").asDouble()).isBetween(0.7, 0.9);
    assertThat(answer.get("words").get("median").asDouble()).isBetween(14.0, 17.0);
    assertThat(answer.get("headings").get(0).get("pages").asInt()).isEqualTo(2);
    assertThat(answer.get("questions").get(0).asString()).isEqualTo("Why does it rise?");
    assertThat(answer.get("points").get(0).get("sources")).hasSize(2);
    assertThat(answer.get("points").get(0).get("sources").get(0).get("sentence").asInt())
        .isEqualTo(3);
    assertThat(answer.get("terms").isArray()).isTrue();
  }

  @Test
  void withoutAPageItEndsWithTwoAndSaysWhy() throws Exception {
    Path file = folder.resolve("e.json");
    Path empty = Files.createDirectories(folder.resolve("empty"));
    assertThat(run("--pages", empty.toString(), "--out", file.toString())).isEqualTo(2);
    assertThat(errors.toString()).contains("contains no page");
    assertThat(run("--pages", folder.resolve("no").toString(), "--out", file.toString()))
        .isEqualTo(2);
    assertThat(errors.toString()).contains("is not a folder");
    Path blank = pages("<script>x</script>");
    assertThat(run("--pages", blank.toString(), "--out", file.toString())).isEqualTo(2);
    assertThat(errors.toString()).contains("no page can be read", "p0.html: has no text.");
    assertThat(file).doesNotExist();
    assertThat(run()).isEqualTo(2);
  }
}
