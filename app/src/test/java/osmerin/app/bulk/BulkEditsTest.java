package osmerin.app.bulk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleSearch;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.bulk.BulkEdits.Outcome;
import osmerin.app.bulk.BulkEdits.What;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History;
import osmerin.app.history.History.Asked;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

class BulkEditsTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private ArticleSearch search;
  @Autowired private BulkEdits bulk;
  @Autowired private DraftService drafts;
  @Autowired private History history;
  @Autowired private UndoService undo;
  private SiteContext site;
  private LocalDate day;

  @BeforeEach
  void threeArticlesOneWithoutADate() {
    site = emptySite();
    day = site.today().plusWeeks(10);
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    for (LocalDate date : new LocalDate[] {day, day.plusDays(1), null}) {
      articles.commission(site, new Commission("Eels", type, null, Map.of(), date));
    }
  }

  @Test
  void datesMoveTogetherAndWhatHasNoneIsLeftAndNamed() {
    Outcome outcome = bulk.change(site, List.of(1, 2, 3), What.DAYS, "7", false);
    assertThat(outcome.sentence()).isEqualTo("2 articles moved by 7 days.");
    assertThat(outcome.left()).singleElement().asString().contains("-0003", "no date");
    assertThat(dates()).containsExactly(day.plusDays(7), day.plusDays(8), null);
    undo.undoLatest(site);
    assertThat(dates()).containsExactly(day, day.plusDays(1), null);
  }

  @Test
  void aBulkChangeIsOneEntryForAllAndReadableOnEach() {
    long before = history.count(site, Asked.ALL);
    bulk.change(site, List.of(1, 3), What.STAGE, stageId("Drafting"), true);
    assertThat(history.count(site, Asked.ALL)).isEqualTo(before + 1);
    assertThat(history.entries(site, Asked.of(osmerin.app.history.Thing.ARTICLE, 3), 0, 1).get(0))
        .satisfies(e -> assertThat(e.sentence()).isEqualTo("2 articles moved to Drafting."));
    assertThat(stages()).containsExactly("Drafting", "Commissioned", "Drafting");
    undo.undoLatest(site);
    assertThat(stages()).containsOnly("Commissioned");
  }

  @Test
  void readyAsksOnceForAllThatLackSomething() {
    needNoBriefs(site);
    drafts.save(site, articles.get(site, 2), "Words.", 0);
    articles
        .page(site, 2, null)
        .planned()
        .steps()
        .forEach(step -> edits.tick(site, 2, step.key(), true));
    assertThatThrownBy(
            () -> bulk.change(site, List.of(1, 2, 3), What.STAGE, stageId("Ready"), false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> {
              assertThat(ask).hasMessageStartingWith("2 articles are missing something for Ready");
              assertThat(ask.points()).hasSize(2);
              assertThat(ask.points().get(1))
                  .contains("0003: there is no draft, it has no publish date, ")
                  .contains("“Write the draft” is to be done");
            });
    assertThat(stages()).containsOnly("Commissioned");
    assertThat(bulk.change(site, List.of(2), What.STAGE, stageId("Ready"), false).left()).isEmpty();
    bulk.change(site, List.of(1, 2, 3), What.STAGE, stageId("Ready"), true);
    assertThat(stages()).containsOnly("Ready");
  }

  @Test
  void datesAskOnceForAllThatStandWorseThen() {
    List<LocalDate> before = dates();
    LocalDate today = site.today();
    long days = java.time.temporal.ChronoUnit.DAYS.between(before.get(0), today) + 1;
    assertThatThrownBy(
            () -> bulk.change(site, List.of(1, 2), What.DAYS, String.valueOf(days), false))
        .isInstanceOfSatisfying(
            AskException.class,
            ask -> assertThat(ask.points()).anyMatch(p -> p.contains("becomes impossible")));
    assertThat(dates()).isEqualTo(before);

    bulk.change(site, List.of(1), What.DAYS, String.valueOf(days), true);
    assertThat(dates().get(0)).isEqualTo(today.plusDays(1));
    bulk.change(site, List.of(1), What.DAYS, "60", false);
    assertThat(dates().get(0)).isEqualTo(today.plusDays(61));
  }

  @Test
  void peopleTypeAndArchive() {
    bulk.change(site, List.of(1, 2), What.WRITER, String.valueOf(site.personId()), false);
    assertThat(articles.get(site, 2).article().lead(StepRole.WRITER)).isEqualTo(site.personId());
    assertThat(articles.get(site, 3).article().lead(StepRole.WRITER)).isNull();
    long guide = types.list(site.siteId(), Kind.NEW).get(1).id();
    bulk.change(site, List.of(1), What.TYPE, String.valueOf(guide), false);
    assertThat(articles.get(site, 1).typeName())
        .isEqualTo(types.list(site.siteId(), Kind.NEW).get(1).name());
    bulk.change(site, List.of(1, 2, 3), What.ARCHIVE, null, false);
    assertThat(search.countArchived(site, "")).isEqualTo(3);
    undo.undoLatest(site);
    assertThat(search.countArchived(site, "")).isZero();
  }

  @ParameterizedTest
  @CsvSource({
    "STAGE, LIVE",
    "STAGE, nonsense",
    "DAYS, many",
    "DAYS, 400",
    "DAYS,",
    "TYPE, 0",
    "WRITER, x"
  })
  void aValueThatCannotBeChangesNothing(What what, String value) {
    String before = dates() + "" + stages();
    try {
      assertThat(bulk.change(site, List.of(1, 2), what, value, false).left()).hasSize(2);
    } catch (RefusedException e) {
      assertThat(e.getMessage()).isNotBlank();
    }
    assertThat(dates() + "" + stages()).isEqualTo(before);
  }

  @Test
  void onlyForEditorsAndOnlyOnTheirSite() {
    SiteContext writer = join(site.site(), "Wim Asare", Role.WRITER);
    assertThatThrownBy(() -> bulk.change(writer, List.of(1), What.ARCHIVE, null, false))
        .isInstanceOf(ForbiddenException.class);
    SiteContext other = emptySite();
    assertThat(bulk.change(other, List.of(1, 2, 3), What.ARCHIVE, null, false).sentence())
        .startsWith("0 articles");
    assertThat(search.countArchived(site, "")).isZero();
    assertThatThrownBy(() -> bulk.change(site, List.of(), What.ARCHIVE, null, false))
        .hasMessageContaining("Mark the articles first");
  }

  private List<LocalDate> dates() {
    return IntStream.of(1, 2, 3).mapToObj(n -> articles.get(site, n).publishDate()).toList();
  }

  private String stageId(String name) {
    return String.valueOf(stage(site, name));
  }

  private List<String> stages() {
    return IntStream.of(1, 2, 3).mapToObj(n -> articles.get(site, n).stage().label()).toList();
  }
}
