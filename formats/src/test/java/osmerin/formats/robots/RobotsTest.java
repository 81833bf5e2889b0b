package osmerin.formats.robots;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RobotsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | /any | true",
        "'User-agent: *\nDisallow: /private' | /private/page | false",
        "'User-agent: *\nDisallow: /private' | /open | true",
        "'User-agent: osmerin\nDisallow: /\n\nUser-agent: *\nAllow: /' | /open | false",
        "'User-agent: other\nDisallow: /' | /open | true",
        "'User-agent: *\nDisallow: /\nAllow: /open' | /open | true",
        "'no rules, just \0 words' | /open | true",
      })
  void rulesAreThoseOfTheFile(String file, String path, boolean allowed) {
    String host = "https://a.example";
    Robots robots = Robots.of(host + "/robots.txt", file.getBytes(StandardCharsets.UTF_8));
    assertThat(robots.allows(host + path)).isEqualTo(allowed);
  }
}
