package osmerin.app.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.YearMonth;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import osmerin.app.articles.ArticleService;
import osmerin.app.plan.Month;
import osmerin.app.plan.MonthService;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.site.SiteContext;
import osmerin.app.support.DemoApplicationTest;
import osmerin.core.article.Standing.State;

/** The demo scenario holds what it promises, and every page of it can be shown. */
class DemoTest extends DemoApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private MonthService months;
  @Autowired private MockMvc mvc;

  @Test
  void theSampleFileIsTheDemosResearch() throws Exception {
    assertThat(Files.readString(Path.of("../docs/samples/marlpit-keywords.csv")))
        .isEqualTo(DemoResearch.csv());
  }

  @Test
  void theBenchMeasuresOnTheDemosResearch() throws Exception {
    assertThat(Files.readString(Path.of("../bench/src/main/resources/demo/keywords.csv")))
        .isEqualTo(DemoResearch.labelledCsv());
  }

  @Test
  void theMonthInHandIsPartlyDoneWithOneLateOneImpossibleAndThreeWithoutADate() {
    SiteContext odile = odile();
    var open = articles.open(odile);
    assertThat(open).filteredOn(p -> p.standing().state() == State.LATE).hasSize(1);
    assertThat(open).filteredOn(p -> p.standing().state() == State.IMPOSSIBLE).hasSize(1);
    assertThat(open).filteredOn(p -> p.round().publishDate() == null).hasSize(3);
    assertThat(articles.tally(odile.siteId()).live()).isEqualTo(60);
    Month month = months.month(odile, YearMonth.from(odile.today()));
    assertThat(month.newArticles().target()).isEqualTo(7);
    assertThat(month.refreshes().target()).isEqualTo(5);
    // The first article of the month needs three working days before today.
    int past = sites.calendar(odile.site()).inBefore(month.month(), odile.today());
    assertThat(month.newArticles().done()).isEqualTo(Math.min(4, past / 3));
  }

  @Test
  void everyPageCanBeShown() throws Exception {
    SiteContext odile = odile();
    YearMonth now = YearMonth.from(odile.today());
    for (String page :
        List.of(
            "plan/" + now,
            "plan/" + now + "/calendar",
            "plan/" + now.plusMonths(1),
            "research",
            "research/table",
            "research?topic=1",
            "research/plot",
            "research/plot?topic=1&intent=COMMERCIAL&open=yes",
            "research/regroup?minShared=5&mode=strict",
            "research/groups/1/split",
            "research/why?marked=1&marked=2",
            "research/imports",
            "research/excluded",
            "research/keywords?group=none",
            "research/keywords?excluded=yes&columns=import,group",
            "research/keywords/1/drawer",
            "live/inventory",
            "live/inventory?show=all",
            "live/inventory/bring-in",
            "live/overlap",
            "research/import",
            "research/imports/1",
            "research/topics/1",
            "research/groups/1",
            "research/keywords",
            "research/keywords?q=glaze&volumeFrom=500&covered=no&sort=-difficulty",
            "research/strength",
            "research/groups/1/worth?strength=40",
            "research/groups/1/commission",
            "pitches",
            "pitches?page=99",
            "pitches/1/commission",
            "articles?sort=-publish",
            "articles?q=kiln",
            "articles?person=abc&page=x&size=-",
            "articles/MP-0001",
            "articles/MP-0001?round=1",
            "articles/MP-0001/brief",
            "articles/MP-0001/draft",
            "articles/MP-0065",
            "articles/mp-65/brief",
            "articles/MP-0065/brief/print",
            "articles/MP-0065/draft",
            "articles/MP-0065/draft/versions/1",
            "articles/MP-0065/checklist",
            "desk",
            "history",
            "history?thing=ARTICLE&key=65",
            "notices",
            "archive?kind=PITCHES",
            "team",
            "account",
            "find?q=kiln",
            "articles/MP-0065/drawer",
            "pitches/1/drawer",
            "research/groups/1/drawer",
            "live",
            "tideline/" + now.minusMonths(3))) {
      assertThat(
              mvc.perform(get("/marlpit/" + page).with(user(odile.person())))
                  .andReturn()
                  .getResponse()
                  .getStatus())
          .as(page)
          .isEqualTo(200);
    }
    for (String nowhere :
        List.of(
            "plan/2026-13",
            "articles/MP-9999",
            "articles/x",
            "research/topics/x",
            "research/groups/999999",
            "articles/MP-0001?round=7",
            "nothing",
            "plan/1066-10")) {
      mvc.perform(get("/marlpit/" + nowhere).with(user(odile.person())))
          .andExpect(status().isNotFound());
    }
    mvc.perform(get("/elsewhere/plan").with(user(odile.person()))).andExpect(status().isNotFound());
  }

  @Test
  void aStrangerToTheSiteSeesNothingOfIt() throws Exception {
    SiteContext stranger = emptySite();
    for (String page : List.of("plan", "research", "articles", "articles/MP-0001", "live")) {
      mvc.perform(get("/marlpit/" + page).with(user(stranger.person())))
          .andExpect(status().isNotFound());
    }
  }

  private SiteContext odile() {
    SignedIn person = (SignedIn) team.loadUserByUsername("Odile");
    return sites.findFor("marlpit", person).orElseThrow();
  }
}
