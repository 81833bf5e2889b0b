package osmerin.formats.markdown;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import osmerin.core.draft.DraftDocument;
import osmerin.core.draft.DraftDocument.Block;

class MarkdownTest {
  @Test
  void descriptionPicturesAndLinksAreFoundWithTheirLines() {
    String text =
        """
        ---
        description: How eels find their way
        ---
        # Eels

        See [the *moon*](/moon) and ![An eel](eel.jpg).

        | a | b |
        |---|---|
        | [x](https://x.example) | ![](bare.png) |
        """;
    DraftDocument draft = Markdown.draft(text);

    assertThat(draft.description()).contains("How eels find their way");
    assertThat(draft.title()).contains("Eels");
    assertThat(draft.pictures())
        .containsExactly(
            new DraftDocument.Picture("An eel", "eel.jpg", 6),
            new DraftDocument.Picture("", "bare.png", 10));
    assertThat(draft.links())
        .containsExactly(
            new DraftDocument.Link("the moon", "/moon", 6),
            new DraftDocument.Link("x", "https://x.example", 10));
    assertThat(Markdown.html(text)).doesNotContain("description").startsWith("<h1>Eels</h1>");
    assertThat(Markdown.draft("Words\n\n---\n\nMore: words").description()).isEmpty();
  }

  @Test
  void headingsAndTextKeepTheirOrderAndLine() {
    DraftDocument draft =
        Markdown.draft(
            "# Title\n\nSome *plain* [text](https://a.example)\nhere.\n\n### Deep\n\n- one\n- two\n");
    assertThat(draft.blocks())
        .extracting(Block::text)
        .containsExactly("Title", "Some plain text here.", "Deep", "one", "two");
    assertThat(draft.blocks()).extracting(Block::line).containsExactly(1, 3, 6, 8, 9);
    assertThat(draft.headings().get(1).level()).isEqualTo(3);
    assertThat(draft.words()).isEqualTo(7);
  }

  @Test
  void tablesCountAndPictureNamesDoNot() {
    DraftDocument draft =
        Markdown.draft("| a | b |\n|---|---|\n| c | d |\n\n![a blue pot](x.png) end\n");
    assertThat(draft.words()).isEqualTo(5);
  }

  @Test
  void linksWithinTheSiteSurviveAndOthersAreOnlyOfTheWeb() {
    String html =
        Markdown.html(
            "[a](/eels) [b](../smelt?x=1#top) [c](#here) [d](https://e.example/) ![e](pot.png)"
                + " [f](data:text/html,x) [g](//evil.example/) [h](vbscript:x)");
    assertThat(html)
        .contains("href=\"/eels\"", "href=\"../smelt?x=1#top\"", "href=\"#here\"")
        .contains("href=\"https://e.example/\"", "src=\"pot.png\"")
        .doesNotContain("data:", "vbscript:");
  }

  @Test
  void scriptsDoNotSurvive() {
    String html =
        Markdown.html(
            "# Hi\n\n<script>alert(1)</script>\n\n[x](javascript:alert(1)) <b onclick=\"x()\">b</b>");
    assertThat(html).contains("<h1>Hi</h1>", "<b>b</b>").doesNotContain("script", "onclick");
  }
}
