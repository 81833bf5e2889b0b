package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What people read is written as an editor of today would write it. */
class PlainEnglishTest {
  /** Words and turns that no text may hold. */
  private static final Pattern QUAINT =
      Pattern.compile(
          "\\b(anew|reckon(ed|s|ing)?|parted by|meanwhile|thereof|come apart|all the same"
              + "|bring it back|take (it|them|that) back|is kept among|once more"
              + "|taken along|stand worse|mail is read|is no (number|list|folder|date|web address))\\b",
          Pattern.CASE_INSENSITIVE);

  private static final List<String> ROOMS =
      List.of(
          "../app/src/main/resources/templates",
          "../app/src/main/resources/static/js",
          "../app/src/main/java",
          "../core/src/main/java",
          "../formats/src/main/java",
          "../meaning/src/main/java",
          "../standins/src/main/java",
          "../bench/src/main/java",
          "../cli/src/main/java",
          "../README.md",
          "../osmerin");

  @Test
  void noTextIsQuaint() throws IOException {
    List<String> found = new ArrayList<>();
    for (String room : ROOMS) {
      try (Stream<Path> files = Files.walk(Path.of(room))) {
        for (Path file : files.filter(Files::isRegularFile).toList()) {
          Matcher quaint = QUAINT.matcher(Files.readString(file));
          while (quaint.find()) {
            found.add(file.getFileName() + ": " + quaint.group());
          }
        }
      }
    }
    assertThat(found).isEmpty();
  }
}
