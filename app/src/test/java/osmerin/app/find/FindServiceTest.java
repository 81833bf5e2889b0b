package osmerin.app.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.imports.ImportService;
import osmerin.app.pitches.PitchService;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

class FindServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private FindService find;
  @Autowired private ImportService imports;
  @Autowired private PitchService pitches;
  private SiteContext site;

  @BeforeEach
  void oneOfEach() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    for (int i = 0; i < 12; i++) {
      articles.commission(site, new Commission("Part " + i, type, null, Map.of(), null));
    }
    articles.commission(site, new Commission("Smoking eels at home", type, null, Map.of(), null));
    pitches.pitch(site, "Eel traps, old and new");
    String file = "keyword,volume\neel smoking,1300\nsmoking eel,900\n100% eel skin,20\n";
    imports.importFile(site, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void findsEveryKindByPartOfAWord() {
    assertThat(find.find(site, " EEL "))
        .extracting(Finding::what)
        .contains("Article", "Pitch", "Group", "Keyword")
        .doesNotContain("Do");
    assertThat(names("una b")).containsExactly("Una Berg");
    assertThat(names("traps")).containsExactly("Eel traps, old and new");
  }

  @Test
  void whatIsInTheArchiveIsFoundLastAndSaysSo() {
    edits.archive(site, 13, true);
    pitches.archive(site, pitches.open(site, 0, 1).get(0).id());
    assertThat(find.find(site, "eel"))
        .filteredOn(found -> found.beside().contains("archived"))
        .extracting(Finding::what, Finding::name)
        .containsExactly(
            tuple("Article", "Smoking eels at home"), tuple("Pitch", "Eel traps, old and new"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"13", "0013", "%s-13", "%s-0013"})
  void findsAnArticleByItsNumberFirst(String typed) {
    String words = typed.formatted(site.site().prefix().toLowerCase());
    assertThat(find.find(site, words).get(0))
        .satisfies(
            f -> {
              assertThat(f.name()).isEqualTo("Smoking eels at home");
              assertThat(f.path()).endsWith("/articles/" + site.site().prefix() + "-0013");
            });
  }

  @Test
  void signsAreTakenAsTheyAreTyped() {
    assertThat(names("100%")).contains("100% eel skin").doesNotContain("Smoking eels at home");
    assertThat(names("_")).isEmpty();
    assertThat(names("'; drop table article --")).isEmpty();
    assertThat(names("x".repeat(5_000))).isEmpty();
  }

  @Test
  void commandsAreFoundByTheirWordsAndOnlyByWhomMayUseThem() {
    SiteContext writer = join(site.site(), "Wim Asare", Role.WRITER);
    assertThat(names("imp key")).containsExactly("Import keywords");
    assertThat(find.find(writer, "import")).isEmpty();
    assertThat(find.find(writer, "")).extracting(Finding::what).containsOnly("Do");
    assertThat(find.find(site, "").size()).isGreaterThan(find.find(writer, "").size());
  }

  @Test
  void nothingOfAnotherSiteIsFound() {
    SiteContext other = emptySite();
    assertThat(find.find(other, "eel")).isEmpty();
    assertThat(find.find(other, "13")).isEmpty();
  }

  private List<String> names(String words) {
    return find.find(site, words).stream().map(Finding::name).toList();
  }
}
