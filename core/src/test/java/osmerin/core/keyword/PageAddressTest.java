package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PageAddressTest {
  @ParameterizedTest
  @CsvSource({
    "https://www.Kiln.example/Glaze/, kiln.example/Glaze",
    "http://kiln.example:80/Glaze, kiln.example/Glaze",
    "https://kiln.example:443, kiln.example",
    "http://kiln.example:443/a, kiln.example:443/a",
    "kiln.example:8443/a, kiln.example:8443/a",
    "//kiln.example/a#top, kiln.example/a",
    "kiln.example/a?utm_source=x&b=2&a=1&gclid=9, kiln.example/a?a=1&b=2",
    "kiln.example/?ref=mail, kiln.example",
    "https://kiln.example/%7Ejo/%c3%a9t%C3%A9, kiln.example/~jo/%C3%A9t%C3%A9",
    "https://kiln.example/été, kiln.example/%C3%A9t%C3%A9",
    "https://töpfer.example/a, xn--tpfer-jua.example/a",
    "https://www.example/a, www.example/a",
    "https://kiln.example./a//, kiln.example/a",
  })
  void addressesOfOnePageMeet(String written, String normal) {
    assertThat(PageAddress.of(written)).contains(new PageAddress(normal));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "kiln", "ftp://kiln.example/a", "two words", "http://", "a..b/c", "%%"})
  void whatIsNoAddressIsNone(String written) {
    assertThat(PageAddress.of(written)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"HTTPS://www.A.example:443/x%2fy/?b&a#f", "b.example/%zz", "c.example/a?x=%41&y="})
  void isAFixedPoint(String written) {
    PageAddress once = PageAddress.of(written).orElseThrow();
    assertThat(PageAddress.of(once.value())).contains(once);
  }

  @Test
  void knowsItsHost() {
    assertThat(PageAddress.of("https://www.kiln.example:8080/a").orElseThrow().host())
        .isEqualTo("kiln.example");
  }

  @ParameterizedTest
  @CsvSource({
    "eels.example/2024/night-fishing.html, night fishing",
    "eels.example/smoked_eel/, smoked eel",
    "eels.example/post?p=12, post p 12",
    "eels.example, ''",
  })
  void theLastPartOfAnAddressInWords(String address, String words) {
    assertThat(PageAddress.of(address).orElseThrow().words()).isEqualTo(words);
  }
}
