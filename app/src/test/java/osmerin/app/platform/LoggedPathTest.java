package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class LoggedPathTest {
  @Test
  void tokensOfLinksAreCutAndTheRestStays() {
    assertThat(LoggedPath.of("/by-link/brief/Zm9vYmFyYmF6cXV4cXV1eGZvb2Jhcg/hand-in"))
        .isEqualTo("/by-link/brief/Zm9v…/hand-in");
    assertThat(LoggedPath.of("/marlpit/articles/MP-0064/draft"))
        .isEqualTo("/marlpit/articles/MP-0064/draft");
    assertThat(LoggedPath.of("/")).isEqualTo("/");
  }
}
