package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.print.PageSize;
import org.openqa.selenium.print.PrintOptions;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.rounds.Round;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;

/** A brief on paper: all of it, on pages of either size, and nothing of the screen around it. */
class BriefPrintTest extends BrowserTest {
  private static final double POINTS_PER_CM = 72 / 2.54;
  private static final String LONG = "Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichen";

  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  private Round round;

  @BeforeEach
  void aLongBrief() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    List<Section> sections = new ArrayList<>();
    for (int i = 1; i <= 60; i++) {
      sections.add(new Section("Section number " + i, i % 3 == 0 ? 1 : 0, "Note " + i).of(40));
    }
    briefs.change(
        site,
        round,
        now ->
            now.withTitle("Eels at night, from the pier to the pan")
                .withText(BriefPart.READER, LONG.repeat(4))
                .withText(BriefPart.ANGLE, "Ours is about the tide.\nAnd the moon.")
                .withText(BriefPart.LINKS, "https://eels.example/" + "a".repeat(300))
                .withOutline(new Outline(sections)));
  }

  @ParameterizedTest
  @CsvSource({"21.0, 29.7", "21.59, 27.94"})
  void allOfItIsOnThePagesAndNothingIsCut(double width, double height) throws IOException {
    browser.open(base + "/articles/" + round.reference() + "/brief/print");
    PrintOptions options = new PrintOptions();
    options.setPageSize(new PageSize(height, width));
    byte[] pdf = Base64.getDecoder().decode(browser.driver().print(options).getContent());
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isBetween(2, 8);
      PDRectangle paper = document.getPage(0).getMediaBox();
      assertThat((double) paper.getWidth()).isCloseTo(width * POINTS_PER_CM, within(1.0));
      assertThat((double) paper.getHeight()).isCloseTo(height * POINTS_PER_CM, within(1.0));
      Letters letters = new Letters();
      String text = letters.getText(document).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Eels at night, from the pier to the pan", "Ours is about the tide. And the")
          .contains("Section number 1 40 words Note 1", "Section number 60", "Note 60")
          .doesNotContain("Back to the brief", "Print");
      assertThat(text.replace(" ", "")).contains(LONG.repeat(4), "a".repeat(300));
      assertThat(letters.farthest).isLessThan(paper.getWidth() - 10);
    }
  }

  /** Text with how far to the right its letters reach, in points. */
  private static final class Letters extends PDFTextStripper {
    private float farthest;

    @Override
    protected void writeString(String text, List<TextPosition> positions) throws IOException {
      for (TextPosition letter : positions) {
        farthest = Math.max(farthest, letter.getXDirAdj() + letter.getWidthDirAdj());
      }
      super.writeString(text, positions);
    }
  }
}
