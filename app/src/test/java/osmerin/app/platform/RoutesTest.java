package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

/** What a stranger meets on every route there is. */
class RoutesTest extends ApplicationTest {
  private static final Set<String> OPEN = Set.of("/sign-in", "/welcome", "/error");

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  private RequestMappingHandlerMapping routes;

  private final HttpClient http = HttpClient.newHttpClient();

  @Test
  void anyPageWithoutLoginLeadsToTheSignInPage() throws Exception {
    SiteContext site = emptySite();
    List<String> pages = paths(RequestMethod.GET, site);
    assertThat(pages).hasSizeGreaterThan(20);
    for (String page : pages) {
      HttpResponse<String> answer = send("GET", page);
      assertThat(answer.statusCode()).as(page).isEqualTo(302);
      assertThat(answer.headers().firstValue("Location"))
          .as(page)
          .hasValueSatisfying(to -> assertThat(to).endsWith("/sign-in"));
    }
    assertThat(send("GET", "/nowhere/at/all").statusCode()).isEqualTo(302);
  }

  @Test
  void anyChangeWithoutATokenIsRefused() throws Exception {
    List<String> changes = paths(RequestMethod.POST, emptySite());
    assertThat(changes).hasSizeGreaterThan(15);
    for (String change :
        Stream.concat(changes.stream(), Stream.of("/sign-in", "/welcome", "/sign-out")).toList()) {
      assertThat(send("POST", change).statusCode()).as(change).isEqualTo(403);
    }
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

  private List<String> paths(RequestMethod method, SiteContext site) {
    Set<String> paths = new TreeSet<>();
    for (RequestMappingInfo info : routes.getHandlerMethods().keySet()) {
      Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
      if (methods.contains(method)) {
        info.getPatternValues().stream()
            .filter(path -> !OPEN.contains(path))
            .map(
                path ->
                    path.replace("{site}", site.site().slug())
                        .replaceAll("\\{month[^/]*\\}(?=/|$)", "2026-11")
                        .replace("{number}", site.site().prefix() + "-0001")
                        .replaceAll("\\{\\w+\\}", "1"))
            .forEach(paths::add);
      }
    }
    return List.copyOf(paths);
  }

  private HttpResponse<String> send(String method, String path) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .method(method, HttpRequest.BodyPublishers.noBody())
            .build();
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }
}
