package osmerin.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import osmerin.core.evidence.RankingPage;

class PageTextTest {
  @Test
  void onlyWhatIsWrittenCounts() {
    RankingPage page =
        PageText.of(
            "a.example",
            """
            <!doctype html><title>On eels</title>
            <nav><ul><li>Menu</ul></nav>
            <main><h1>Eels</h1><p>Eels <b>move</b> at night.</p>
            <ul><li>One<li><p>Two</p></ul><script>var x = "words"</script>
            <aside><p>Buy now</p></aside></main>
            <footer><p>Imprint</p></footer>
            """);
    assertThat(page.title()).isEqualTo("On eels");
    assertThat(page.headings()).containsExactly("Eels");
    assertThat(page.blocks()).containsExactly("Eels move at night.", "One", "Two");
    assertThat(page.words()).isEqualTo(7);
  }

  @Test
  void brokenPagesAreReadAsFarAsTheyGo() {
    assertThat(PageText.of("a.example", "<p>one<p>two<div>").blocks())
        .containsExactly("one", "two");
    assertThat(PageText.of("a.example", "").blocks()).isEmpty();
  }
}
