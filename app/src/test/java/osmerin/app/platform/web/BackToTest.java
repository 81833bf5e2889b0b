package osmerin.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BackToTest {
  @ParameterizedTest
  @ValueSource(strings = {"/marlpit/articles?stage=READY&page=2", "/marlpit/plan/2026-11#open=/x"})
  void leadsBackWithinTheApplication(String path) {
    assertThat(BackTo.isOurs(path)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "/",
        "marlpit",
        "//elsewhere.example",
        "/\\elsewhere.example",
        "https://elsewhere.example",
        "/a\r\nSet-Cookie: x",
        "/{name}",
        "/a b",
        "javascript:alert(1)"
      })
  void leadsNowhereElse(String path) {
    assertThat(BackTo.isOurs(path)).isFalse();
  }

  @Test
  void withoutOneItLeadsToWhereTheChangeDoes() {
    assertThat(BackTo.isOurs(null)).isFalse();
  }
}
