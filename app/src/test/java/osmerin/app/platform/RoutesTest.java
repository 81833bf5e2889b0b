package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static osmerin.app.support.FormToken.formToken;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.site.Needs;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** Who may use which route: the list is written by hand, and every route is tried by everybody. */
class RoutesTest extends ApplicationTest {
  private static final Set<String> STRANGERS = Set.of("anybody", "link", "person");

  /** A line of the list. */
  private record Listed(HttpMethod method, String who, String path) {
    boolean isFor(Role role) {
      return STRANGERS.contains(who) || role.compareTo(Role.valueOf(who.toUpperCase())) >= 0;
    }

    boolean isOfSite() {
      return path.startsWith("/{site}");
    }

    String at(Site site) {
      return path.replace("{site}", site.slug())
          .replaceAll("\\{month[^/]*\\}(?=/|$)", "2026-11")
          .replace("{number}", site.prefix() + "-0001")
          .replaceAll("\\{\\w+\\}", "1");
    }

    @Override
    public String toString() {
      return method + " " + path;
    }
  }

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  private RequestMappingHandlerMapping routes;

  @Autowired private WebApplicationContext context;
  @Autowired private ArticleService articles;
  private final HttpClient http = HttpClient.newHttpClient();

  private static List<Listed> listed() throws IOException {
    return Files.readAllLines(Path.of("src/test/resources/routes.txt")).stream()
        .filter(line -> !line.isBlank() && !line.startsWith("#"))
        .map(line -> line.split("\\s+", 3))
        .map(parts -> new Listed(HttpMethod.valueOf(parts[0]), parts[1], parts[2]))
        .toList();
  }

  @Test
  void everyRouteIsListedAndStatesTheRightItTakes() throws Exception {
    List<String> there = new ArrayList<>();
    for (Map.Entry<RequestMappingInfo, HandlerMethod> route :
        routes.getHandlerMethods().entrySet()) {
      if (route.getValue().getBeanType().getName().startsWith("osmerin.")) {
        assertThat(route.getValue().hasMethodAnnotation(Needs.class))
            .as("%s states no right", route.getValue())
            .isTrue();
        for (RequestMethod method : route.getKey().getMethodsCondition().getMethods()) {
          route.getKey().getPatternValues().forEach(path -> there.add(method + " " + path));
        }
      }
    }
    assertThat(listed()).extracting(Listed::toString).containsExactlyInAnyOrderElementsOf(there);
  }

  @ParameterizedTest
  @EnumSource(Role.class)
  void everyRouteLetsARoleInOrNotAsListed(Role role) throws Exception {
    Site site = emptySite().site();
    SiteContext person = join(site, "Per Holm", role);
    commissionFor(person);
    for (Listed route : listed()) {
      if (route.isOfSite()) {
        int status = status(route, site, person);
        if (route.isFor(role)) {
          assertThat(status).as("%s by %s", route, role).isNotIn(401, 403, 500);
        } else {
          assertThat(status).as("%s by %s", route, role).isEqualTo(403);
        }
      }
    }
  }

  @Test
  void noRouteOfASiteIsThereForSomebodyOfAnotherSite() throws Exception {
    SiteContext site = emptySite();
    commissionFor(site);
    SiteContext stranger = emptySite();
    for (Listed route : listed()) {
      if (route.isOfSite()) {
        assertThat(status(route, site.site(), stranger)).as(route.toString()).isEqualTo(404);
      }
    }
  }

  @Test
  void withoutSigningInEveryRouteButTheOpenOnesLeadsToTheSignInPage() throws Exception {
    Site site = emptySite().site();
    for (Listed route : listed()) {
      if (route.method() == HttpMethod.GET) {
        HttpResponse<String> answer = send("GET", route.at(site));
        if (route.who().equals("link")) {
          assertThat(answer.statusCode()).as(route.toString()).isIn(404, 429);
        } else if (route.who().equals("anybody")) {
          assertThat(answer.statusCode()).as(route.toString()).isIn(200, 302, 404);
          assertThat(answer.headers().firstValue("Location").orElse("")).doesNotEndWith("/sign-in");
        } else {
          assertThat(answer.statusCode()).as(route.toString()).isEqualTo(302);
          assertThat(answer.headers().firstValue("Location").orElse("")).endsWith("/sign-in");
        }
      }
    }
    assertThat(send("GET", "/nowhere/at/all").statusCode()).isEqualTo(302);
  }

  @Test
  void anyChangeWithoutATokenIsRefused() throws Exception {
    Site site = emptySite().site();
    for (Listed route : listed()) {
      if (route.method() == HttpMethod.POST) {
        assertThat(send("POST", route.at(site)).statusCode()).as(route.toString()).isEqualTo(403);
      }
    }
    assertThat(send("POST", "/sign-out").statusCode()).isEqualTo(403);
  }

  @Test
  void pagesLoadNothingFromElsewhere() throws Exception {
    HttpResponse<String> page = send("GET", "/sign-in");
    assertThat(page.headers().firstValue("Content-Security-Policy"))
        .hasValueSatisfying(
            policy -> assertThat(policy).contains("script-src 'self'").doesNotContain("unsafe"));
    assertThat(page.body()).doesNotContain("style=").doesNotContain("<script>");
    assertThat(page.body().replaceAll("xmlns=\"[^\"]*\"", ""))
        .doesNotContain("http://", "https://");
  }

  /** The first article of the site, on which the person does everything. */
  private void commissionFor(SiteContext person) {
    SiteContext owner = join(person.site(), "Una Berg", Role.OWNER);
    articles.commission(
        owner,
        new Commission(
            "Eels",
            types.list(person.siteId(), Kind.NEW).get(0).id(),
            null,
            person.role() == Role.GUEST
                ? Map.of()
                : Map.of(
                    StepRole.STRATEGIST, person.personId(),
                    StepRole.EDITOR, person.personId(),
                    StepRole.WRITER, person.personId()),
            null));
  }

  private int status(Listed route, Site site, SiteContext person) throws Exception {
    MockMvc mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .apply(SecurityMockMvcConfigurers.springSecurity())
            .build();
    MockHttpServletRequestBuilder request =
        request(route.method(), URI.create(route.at(site)))
            .with(user(person.person()))
            .with(formToken());
    return mvc.perform(request).andReturn().getResponse().getStatus();
  }

  private HttpResponse<String> send(String method, String path) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .method(method, HttpRequest.BodyPublishers.noBody())
            .build();
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }
}
