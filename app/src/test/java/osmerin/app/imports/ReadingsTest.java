package osmerin.app.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.imports.Readings.Corrections;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.topics.TopicService;
import osmerin.app.work.LongWork;
import osmerin.app.work.Progress;
import osmerin.app.work.WorkKind;
import osmerin.app.work.WorkStoppedException;
import osmerin.formats.keywords.Column;
import osmerin.formats.keywords.FileReading;
import osmerin.formats.keywords.KeywordFile;

class ReadingsTest extends ApplicationTest {
  private static final List<Column> CHOSEN =
      List.of(Column.OTHER, Column.KEYWORD, Column.DIFFICULTY);

  @Autowired private Readings readings;
  @Autowired private ImportService imports;
  @Autowired private Uploads uploads;
  @Autowired private TopicService topicService;
  @Autowired private LongWork work;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void theColumnsChosenForAHeaderAreRememberedForTheNextFile() {
    String header = "keyword;what people type;how it is\n";
    KeywordFile first = file(header + "x;eel trap;20\n");
    assertThat(guess(first).columns()).isNotEqualTo(CHOSEN);
    FileReading corrected =
        readings.reading(site, first, new Corrections(null, null, null, null, CHOSEN));
    UUID id = uploads.keep(site, "first.csv", (header + "x;eel trap;20\n").getBytes());
    imports.importWaiting(site, id, corrected, Progress.UNWATCHED);
    assertThat(guess(file(header + "y;rye bread;30\n")).columns()).isEqualTo(CHOSEN);
    assertThat(guess(file("keyword;other;how it is\ny;rye bread;30\n")).columns())
        .isNotEqualTo(CHOSEN);
    assertThat(readings.reading(emptySite(), first, nothing()).columns()).isNotEqualTo(CHOSEN);
  }

  @Test
  void aRememberedHeaderIsKnownAgainUnderAnotherTitleAndMoreOfThem() {
    String header = "code;what people type;how it is\n";
    String first = "List of May\n" + header + "x;eel trap;20\ny;elver net;30\n";
    UUID id = uploads.keep(site, "may.csv", first.getBytes(StandardCharsets.UTF_8));
    FileReading corrected =
        readings.reading(site, file(first), new Corrections(null, null, null, 2, CHOSEN));
    assertThat(corrected.columns()).isEqualTo(CHOSEN);
    imports.importWaiting(site, id, corrected, Progress.UNWATCHED);
    FileReading next =
        guess(file("List of June\nfor the team\n" + header + "z;smoked eel;40\nw;eel pie;9\n"));
    assertThat(next.headerRow()).isEqualTo(3);
    assertThat(next.columns()).isEqualTo(CHOSEN);
  }

  @Test
  void workThatIsStoppedKeepsNothing() {
    UUID id = uploads.keep(site, "eels.csv", "keyword\neel\nelver\n".getBytes());
    UUID watched = work.begin(site, WorkKind.IMPORT, "eels.csv", "/begun");
    work.stop(site, watched);
    FileReading reading = guess(file("keyword\neel\nelver\n"));
    assertThatThrownBy(
            () ->
                imports.importWaiting(
                    site,
                    id,
                    reading,
                    (step, done, total) -> work.step(watched, step, done, total)))
        .isInstanceOf(WorkStoppedException.class);
    assertThat(topicService.overview(site).counts().keywords()).isZero();
    assertThat(work.get(site, watched).isStopped()).isTrue();
    assertThat(uploads.waiting(site, id).name()).isEqualTo("eels.csv");
  }

  private FileReading guess(KeywordFile file) {
    return readings.reading(site, file, nothing());
  }

  private static Corrections nothing() {
    return new Corrections(null, null, null, null, null);
  }

  private static KeywordFile file(String text) {
    return new KeywordFile(text.getBytes(StandardCharsets.UTF_8));
  }
}
