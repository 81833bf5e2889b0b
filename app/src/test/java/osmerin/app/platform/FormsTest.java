package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static osmerin.app.support.FormToken.formToken;

import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.pitches.PitchService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;

/** Wrong input to every form: a clear answer, nothing changed, nothing typed lost. */
class FormsTest extends ApplicationTest {
  @Autowired private WebApplicationContext context;
  @Autowired private ArticleService articles;
  @Autowired private PitchService pitches;
  private MockMvc mvc;
  private SiteContext site;
  private Round round;

  @BeforeEach
  void commission() {
    mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .apply(
                org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers
                    .springSecurity())
            .build();
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
  }

  @Test
  void targetsThatAreNoNumbersComeBackAsTyped() throws Exception {
    YearMonth month = YearMonth.from(site.today());
    send("plan/" + month + "/targets", "newArticles", "seven", "refreshes", "2")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("seven")))
        .andExpect(content().string(containsString("A target is a number")));
    send("plan/" + month + "/targets", "newArticles", "7", "refreshes", "2")
        .andExpect(status().is3xxRedirection());
  }

  @Test
  void aCommissionWithoutATitleComesBackWithEverythingElse() throws Exception {
    long pitch = pitches.pitch(site, "A bowl").id();
    long guide = types.list(site.siteId(), Kind.NEW).get(1).id();
    String person = String.valueOf(site.personId());
    send(
            "pitches/" + pitch + "/commission",
            "title",
            " ",
            "type",
            "" + guide,
            "people[writer]",
            person)
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("A title has 1 to 200 characters")))
        .andExpect(content().string(containsString("value=\"" + guide + "\" selected")));
    assertThat(pitches.countOpen(site)).isEqualTo(1);
    send("pitches/" + pitch + "/commission", "title", "A bowl", "type", "999999")
        .andExpect(status().isNotFound());
    assertThat(pitches.countOpen(site)).isEqualTo(1);
    String commission = "pitches/" + pitch + "/commission";
    for (String key : List.of("people[writer]", "people[]", "people")) {
      send(commission, "title", "A bowl", "type", "999999", key, "x")
          .andExpect(status().is4xxClientError());
    }
    send("pitches/" + pitch + "/commission", "title", "A bowl", "type", "" + guide)
        .andExpect(redirectedUrlPattern("/*/articles/*-0002"));
  }

  @Test
  void anImpossibleDateIsSaidWhereverItIsSet() throws Exception {
    long pitch = pitches.pitch(site, "A bowl").id();
    String post = String.valueOf(types.list(site.siteId(), Kind.NEW).get(0).id());
    String tomorrow = site.today().plusDays(1).toString();
    send(
            "pitches/" + pitch + "/commission",
            "title",
            "A bowl",
            "type",
            post,
            "publishDate",
            tomorrow)
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("It cannot be published on")));
    send("articles/" + round.reference() + "/publish-date", "date", tomorrow)
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("cannot be published on")));
  }

  @Test
  void datesStagesAndPeopleThatDoNotExistChangeNothing() throws Exception {
    String article = "articles/" + round.reference();
    send(article + "/publish-date", "date", "2026-02-31").andExpect(status().is4xxClientError());
    send(article + "/stage", "forward", "true", "seen", "FLYING")
        .andExpect(status().is4xxClientError());
    send(article + "/people", "role", "WRITER", "person", "x")
        .andExpect(status().is4xxClientError());
    String person = String.valueOf(site.personId());
    send(article + "/people", "place", "0", "person", person)
        .andExpect(status().is4xxClientError());
    for (String role : List.of("", "a,b", "x".repeat(41))) {
      send(article + "/people", "role", role, "place", "0", "person", person)
          .andExpect(status().is4xxClientError());
    }
    for (String place : List.of("-1", "x", "99999999999")) {
      send(article + "/people", "role", "writer", "place", place, "person", person)
          .andExpect(status().is4xxClientError());
    }
    send(article + "/steps/nap", "done", "true").andExpect(status().isNotFound());
    send(article + "/title", "title", "", "seen", "1").andExpect(status().isUnprocessableEntity());
    send(article + "/refresh", "depth", "999999")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("is in work")));
    send(article + "/publish")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("has no draft yet")));
    Round after = articles.get(site, round.article().number());
    assertThat(after).isEqualTo(round);
  }

  @Test
  void aBriefWithAWrongRangeComesBackWithWhatWasTyped() throws Exception {
    send(
            "articles/" + round.reference() + "/brief",
            "version",
            "0",
            "texts[READER]",
            "Night fishers",
            "wordsLow",
            "900")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("Night fishers")))
        .andExpect(content().string(containsString("Type both ends of the range")));
  }

  @Test
  void withoutAKeywordGroupNoEvidenceIsFetched() throws Exception {
    send("articles/" + round.reference() + "/brief/evidence")
        .andExpect(redirectedUrl(path("articles/" + round.reference() + "/brief")))
        .andExpect(flash().attribute("searchFault", containsString("no keyword group yet")));
  }

  @Test
  void aPitchFromTheDialogSaysWhatIsWrongInTheDialog() throws Exception {
    mvc.perform(as(post(path("pitches"))).param("title", " ").header("HX-Request", "true"))
        .andExpect(status().isUnprocessableEntity())
        .andExpect(content().string(containsString("A title has 1 to 200 characters")));
    mvc.perform(as(post(path("pitches"))).param("title", "A bowl").header("HX-Request", "true"))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Pitched: “A bowl”.")))
        .andExpect(content().string(containsString("1 open")));
  }

  @Test
  void whatPeopleTypeIsNeverRunAsMarkup() throws Exception {
    send(
        "articles/" + round.reference() + "/title",
        "title",
        "<script>alert(1)</script>",
        "seen",
        "1");
    mvc.perform(as(get(path("articles/" + round.reference()))))
        .andExpect(content().string(containsString("&lt;script&gt;alert(1)")))
        .andExpect(content().string(org.hamcrest.Matchers.not(containsString("<script>alert"))));
  }

  @Test
  void pagesHoldNoInlineStylesOrScripts() throws Exception {
    for (String page :
        new String[] {
          "plan/" + YearMonth.from(site.today()),
          "research",
          "articles",
          "articles/" + round.reference() + "/draft"
        }) {
      String html = mvc.perform(as(get(path(page)))).andReturn().getResponse().getContentAsString();
      assertThat(html)
          .doesNotContain(" style=\"")
          .doesNotContain("<style")
          .doesNotContain(" onclick");
      assertThat(html.replaceAll("(?s)<script[^>]+src=[^>]+></script>", ""))
          .doesNotContain("<script");
    }
  }

  private ResultActions send(String path, String... fields) throws Exception {
    MockHttpServletRequestBuilder request = as(post(path(path)));
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return mvc.perform(request);
  }

  private String path(String path) {
    return "/" + site.site().slug() + "/" + path;
  }

  private MockHttpServletRequestBuilder as(MockHttpServletRequestBuilder request) {
    return request.with(user(site.person())).with(formToken());
  }
}
