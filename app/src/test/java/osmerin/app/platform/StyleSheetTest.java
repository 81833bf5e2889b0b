package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;

/** The one style sheet that pages ask for. */
class StyleSheetTest {
  @Test
  void everyPartIsInTheOneSheet() throws IOException {
    String sheet =
        new ClassPathResource("static/css/osmerin.css").getContentAsString(StandardCharsets.UTF_8);
    try (Stream<Path> parts = Files.list(Path.of("src/main/css"))) {
      List<Path> all = parts.toList();
      assertThat(all).isNotEmpty();
      for (Path part : all) {
        assertThat(sheet).as(part.toString()).contains(Files.readString(part).strip());
      }
    }
  }
}
