package osmerin.app.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.imports.ImportService;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.LanguageMapper.Spoken;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.text.Language;

/** Languages are guessed at import, and said by people. */
class KeywordLanguagesTest extends ApplicationTest {
  @Autowired private SiteKeywords siteKeywords;
  @Autowired private ImportService imports;
  @Autowired private KeywordLanguages languages;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void twoLanguages() {
    site = emptySite();
    String file =
        "keyword,volume\nhow to smoke eel,90\nbest eel trap,80\nwie räuchert man aal,70\n"
            + "aal räuchern,60\nfyke,50\n";
    imports.importFile(site, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void languagesAreGuessedAtImport() {
    assertThat(spoken("best eel trap").language()).isEqualTo("en");
    assertThat(spoken("aal räuchern").language()).isEqualTo("de");
    assertThat(spoken("fyke").language()).isEqualTo("en");
  }

  @Test
  void whatMostKeywordsAreInDecidesWhereNothingTellsAndIsTakenBack() {
    languages.setUsual(site, "nl");
    assertThat(languages.usual(site)).isEqualTo(Language.DUTCH);
    assertThat(spoken("fyke").language()).isEqualTo("nl");
    assertThat(spoken("aal räuchern").language()).isEqualTo("de");
    undo.undoLatest(site);
    assertThat(languages.usual(site)).isEqualTo(Language.ENGLISH);
    assertThat(spoken("fyke").language()).isEqualTo("en");
  }

  @Test
  void whatAPersonSaysOfAKeywordStandsAndIsTakenBack() {
    languages.set(site, id("fyke"), "de");
    languages.setUsual(site, "nl");
    assertThat(spoken("fyke").language()).isEqualTo("de");
    assertThat(spoken("fyke").languagePinned()).isTrue();
    undo.undoLatest(site);
    undo.undoLatest(site);
    assertThat(spoken("fyke").language()).isEqualTo("en");
    assertThat(spoken("fyke").languagePinned()).isFalse();
  }

  @Test
  void anotherLanguageOrKeywordIsRefused() {
    assertThatThrownBy(() -> languages.set(site, id("fyke"), "xx"))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> languages.set(site, -1, "de")).isInstanceOf(NotFoundException.class);
  }

  private Spoken spoken(String text) {
    return languages.spoken(site, id(text));
  }

  private long id(String text) {
    return siteKeywords.all(site.siteId()).stream()
        .filter(k -> k.keyword().text().equals(text))
        .findFirst()
        .orElseThrow()
        .id();
  }
}
