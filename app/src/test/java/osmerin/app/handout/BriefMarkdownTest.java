package osmerin.app.handout;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.yaml.snakeyaml.Yaml;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.Brief;
import osmerin.app.briefs.BriefPage;
import osmerin.app.briefs.BriefService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.Term;
import osmerin.core.evidence.WordRange;
import osmerin.formats.markdown.Markdown;

/** What is read from the file again is what was typed, whatever that is. */
class BriefMarkdownTest extends ApplicationTest {
  private static final String[] PIECES = {
    "word", " ", "#", "*", "_", "`", "[x](y)", "<b>", "- ", "1. ", ": ", "\"", "'", "\\", "&amp;",
    "ü", "|", "---", "{", "}", "~~", "!", "% "
  };

  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  private SiteContext site;
  private Round round;

  @BeforeEach
  void anArticle() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
  }

  private static BriefContent brief(String title, String keyword, Outline outline) {
    return BriefContent.NONE
        .withTitle(title)
        .withPrimary(keyword)
        .withSecondary(List.of("eel trap", "a, b"))
        .withText(BriefPart.READER, "Anglers")
        .withText(BriefPart.ANGLE, "The tide")
        .withText(BriefPart.NOTES, "- one\n- two")
        .withOutline(outline);
  }

  private BriefPage page(BriefContent content) {
    return new BriefPage(
        round,
        new Brief(round.id(), content, 1, null, null, Optional.empty(), Optional.empty()),
        kept(),
        Optional.of(new WordRange(800, 900, 1_000)),
        BriefPart.SHIPPED,
        Map.of(),
        null);
  }

  private static KeptEvidence kept() {
    return new KeptEvidence(
        1,
        "eels",
        List.of(),
        new Evidence(List.of(), Optional.empty(), List.of(new Term("smoked eel", 3, 1, 2, 3))),
        PagesSay.NOTHING,
        false,
        true,
        null,
        List.of(),
        Instant.EPOCH);
  }

  private static String text(Random random) {
    StringBuilder text = new StringBuilder("T");
    for (int i = 0; i < random.nextInt(9); i++) {
      text.append(PIECES[random.nextInt(PIECES.length)]);
    }
    return text.append("z").toString().replaceAll("\\s+", " ");
  }

  @Test
  void frontMatterAndOutlineComeBackAsTheyWere() {
    Random random = new Random(8);
    for (int run = 0; run < 500; run++) {
      String title = text(random);
      String keyword = text(random);
      List<Section> sections = new ArrayList<>();
      for (int i = 0; i < random.nextInt(6); i++) {
        sections.add(new Section(text(random), random.nextInt(3), ""));
      }
      Outline outline = new Outline(sections);
      String file = BriefMarkdown.of(page(brief(title, keyword, outline)));
      Map<String, Object> front = new Yaml().load(file.split("(?m)^---$", 3)[1]);
      assertThat(front)
          .containsEntry("title", title)
          .containsEntry("primary_keyword", keyword)
          .containsEntry("secondary_keywords", List.of("eel trap", "a, b"))
          .containsEntry("words_high", 1_000);
      Document page = Jsoup.parse(Markdown.html(file));
      assertThat(page.select("h1").text()).isEqualTo(title);
      assertThat(new Outline(written(page))).isEqualTo(outline);
      assertThat(page.select("h2").eachText())
          .startsWith("Length", "Reader", "Angle")
          .endsWith("Terms", "Notes");
    }
  }

  private static List<Section> written(Document page) {
    return page.select("h2").stream()
        .filter(heading -> heading.text().equals("Outline"))
        .flatMap(heading -> heading.nextElementSibling().select("li").stream())
        .map(
            item ->
                new Section(
                    item.ownText().isEmpty() ? first(item) : item.ownText(), depth(item), ""))
        .collect(Collectors.toList());
  }

  private static String first(Element item) {
    return item.child(0).text();
  }

  private static int depth(Element item) {
    return (int) item.parents().stream().filter(parent -> parent.normalName().equals("li")).count();
  }

  @Test
  void itIsDownloadedUnderTheArticlesNumber() {
    briefs.save(site, round, brief("Eels, at night", "catching eels", Outline.NONE), 0);
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    HttpResponse<String> file =
        person.get(site.base() + "/articles/" + round.reference() + "/brief/markdown");
    assertThat(file.statusCode()).isEqualTo(200);
    assertThat(file.headers().firstValue("Content-Type").orElse("")).startsWith("text/markdown");
    assertThat(file.headers().firstValue("Content-Disposition").orElse(""))
        .contains("attachment", round.reference() + "-brief.md");
    assertThat(file.body()).contains("title: \"Eels, at night\"", "# Eels, at night", "## Reader");
  }
}
