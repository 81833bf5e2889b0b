package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.lang.reflect.RecordComponent;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.DefaultParameterNameDiscoverer;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.pitches.PitchService;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;

/**
 * Requests that no page of ours sends, by everybody, over all routes: whatever is sent is answered
 * as bad input or done, and never breaks anything. {@code osmerin.hostile} of them; some thousands
 * in the build.
 */
class HostileRequestsTest extends ApplicationTest {
  private static final int REQUESTS = Integer.getInteger("osmerin.hostile", 2_500);

  /** As they stand in the request, so some of them cannot be decoded. */
  private static final List<String> HOSTILE =
      List.of(
          "",
          "%20",
          "%00",
          "a%00b",
          "%01",
          "%7F",
          "%",
          "%zz",
          "%f",
          "%ff",
          "%ed%a0%80",
          "%c0%80",
          "-1",
          "0",
          "99999999999999999999",
          "2147483648",
          "1e999",
          "NaN",
          "1,,2",
          ",",
          "null",
          "undefined",
          "%5B%5D",
          "%2B99999-12-31",
          "-0001-01-01",
          "9999-12-31",
          "0000-00-00",
          "2026-02-30",
          "999999-01",
          "%2B99999-01",
          "0000-13",
          "25:61",
          "24:00",
          "-9999-01",
          "%F0%9F%92%A5",
          "%E2%80%AE",
          "%E2%80%8B",
          "%0A",
          "%0D%0AX-Evil:%201",
          "%09",
          "'%3B--",
          "%22%3E%3Cscript%3Ealert(1)%3C/script%3E",
          "%7B%7B7*7%7D%7D",
          "%24%7B7*7%7D",
          "__%24%7B7*7%7D__%3A%3Ax",
          "..%2F..%2Fetc%2Fpasswd",
          "..",
          "redirect:http://evil.example",
          "//evil.example",
          "http://evil.example/",
          "javascript:alert(1)",
          "%25",
          "%25_",
          "%5C",
          "file:///etc/passwd",
          "http://127.0.0.1:1/",
          "*",
          "(",
          "%28%5B",
          "a".repeat(5_000));

  private static final List<String> USUAL =
      List.of(
          "1",
          "2",
          "3",
          "true",
          "false",
          "new",
          "name",
          "-name",
          "2026-11",
          "2026-11-27",
          "NEW",
          "REFRESH",
          "WRITER",
          "OWNER",
          "DRAFTING",
          "SET",
          "LIVE",
          "COMMISSIONED",
          "10:00",
          "a%20title",
          "eels",
          "DEMAND",
          "INFORMATIONAL",
          "una@post.example",
          "UTF-8",
          ";",
          "%2Fx%2Fdesk",
          "50",
          "7",
          "on");

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  private RequestMappingHandlerMapping mapping;

  @Autowired private ArticleService articles;
  @Autowired private PitchService pitches;
  private final Random random = new Random(14);
  private final Map<Role, HttpPerson> people = new HashMap<>();
  private final Map<Role, SiteContext> contexts = new HashMap<>();
  private SiteContext site;
  private List<Route> routes;

  private record Route(String method, String path, List<String> fields) {}

  @BeforeEach
  void aSiteWithEverybody() {
    site = emptySite();
    contexts.put(Role.OWNER, site);
    for (Role role : List.of(Role.WRITER, Role.EDITOR, Role.STRATEGIST)) {
      contexts.put(role, join(site.site(), "Per Holm", role));
    }
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    for (int i = 0; i < 3; i++) {
      articles.commission(site, new Commission("Eels " + i, type, null, Map.of(), null));
      pitches.pitch(site, "Smelt " + i);
    }
    stageMoves.move(site, 2, stage(site, "Briefed"), stage(site, "Commissioned"), true);
    routes = routes();
    contexts.keySet().forEach(this::signIn);
  }

  private void signIn(Role role) {
    String login = contexts.get(role).person().login();
    HttpPerson person = new HttpPerson("http://127.0.0.1:" + port, login, PASSWORD);
    person.get(site.base() + "/desk");
    people.put(role, person);
  }

  @Test
  void nothingThatIsSentBreaksAnything() throws IOException {
    Map<String, String> broken = new TreeMap<>();
    for (int i = 0; i < REQUESTS; i++) {
      Route route = routes.get(random.nextInt(routes.size()));
      String path = path(route);
      String fields = fields(route.fields());
      Answer answer = send(route.method(), path, fields, by());
      if (answer.status() >= 500) {
        broken.putIfAbsent(
            route.method() + " " + route.path(), answer.status() + " " + path + " " + fields);
      }
    }
    assertThat(broken).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/%",
        "/%zz",
        "/%00",
        "/a%00b",
        "/%c0%ae%c0%ae/",
        "/..;/",
        "//",
        "/a//b",
        "/%2f",
        "/sign-in;x=1",
        "/sign-in?login=%zz",
        "/sign-in?login=%00",
        "/sign-in?%00=1",
        "/error",
        "/error?status=200",
        "/invitation/%00",
        "/invitation/x/y/z",
        "/password/%ff",
        "/mail/..%2f..",
        "/actuator",
        "/actuator/env"
      })
  void oddAddressesAreAnsweredWithAPageOfOurs(String path) throws IOException {
    Answer answer = send("GET", path, "", null);
    assertThat(answer.status()).as(path).isBetween(300, 499);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"//evil.example/", "/\\evil.example/", "/%2fevil.example/", "/%5cevil.example/"})
  void aSlashAtTheEndLeadsNowhereElse(String path) throws IOException {
    Answer answer = send("GET", path, "", null);
    assertThat(answer.body()).doesNotContain("Location: //", "Location: https://evil");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"marked=,", "marked=", "marked=&marked=", "marked=1,,2", "marked=%20", "marked=x"})
  void aListWithGapsIsReadWithoutThem(String fields) throws IOException {
    Answer answer = send("GET", site.base() + "/research/why", fields, people.get(Role.STRATEGIST));
    assertThat(answer.status()).as(fields).isLessThan(500);
  }

  @Test
  void aSlashAtTheEndIsTakenAway() throws IOException {
    Answer answer = send("GET", site.base() + "/desk/?x=1", "", people.get(Role.OWNER));
    assertThat(answer.status()).isEqualTo(308);
    assertThat(answer.body()).contains("Location: " + site.base() + "/desk?x=1");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "title=a%00b",
        "title=a%01b",
        "title=%zz",
        "title=%ff",
        "a%00=b",
        "people[=1",
        "people[a][b]=1",
        "people[a].b=1"
      })
  void whatCannotBeReadIsSaidBeforeAnythingIsChanged(String fields) throws IOException {
    long before = pitches.countOpen(site);
    Answer answer = send("POST", site.base() + "/pitches", fields, people.get(Role.OWNER));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.body()).contains("Nothing was changed.").contains("That cannot be read");
    assertThat(pitches.countOpen(site)).isEqualTo(before);
  }

  @Test
  void anArticleOfAnotherPrefixIsNotHere() throws IOException {
    HttpPerson owner = people.get(Role.OWNER);
    String own = site.base() + "/articles/" + site.site().prefix() + "-0001";
    assertThat(send("GET", own, "", owner).status()).isEqualTo(200);
    String other = site.base() + "/articles/ZZZZZZ-0001";
    assertThat(send("GET", other, "", owner).status()).isEqualTo(404);
    assertThat(send("POST", other + "/stage", "to=1", owner).status()).isEqualTo(404);
  }

  /** Too long for a header, or of letters that no header has: the change is made all the same. */
  @Test
  void aBackThatIsNoAddressLeadsToWhereTheChangeLeads() throws IOException {
    for (String back : List.of("/" + "a".repeat(9_000), "/%C3%A9els", "/%E2%82%AC")) {
      Answer answer =
          send("POST", site.base() + "/pitches", "title=Eels&back=" + back, people.get(Role.OWNER));
      assertThat(answer.status()).as(back.substring(0, 5)).isLessThan(400);
      assertThat(answer.body()).contains("Location: /" + site.site().slug());
    }
  }

  @Test
  void whatIsFarTooLongForItsFieldIsSaidBeforeAnythingIsChanged() throws IOException {
    long before = pitches.countOpen(site);
    String title = "title=" + "a".repeat(40_000);
    Answer answer = send("POST", site.base() + "/pitches", title, people.get(Role.OWNER));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.body()).contains("The field “title” has more than 10,000 characters");
    assertThat(pitches.countOpen(site)).isEqualTo(before);
    String draft = site.base() + "/articles/" + site.site().prefix() + "-0001/draft";
    String text = "seen=0&text=" + "a+".repeat(20_000);
    assertThat(send("POST", draft, text, people.get(Role.OWNER)).status()).isEqualTo(302);
  }

  private @Nullable HttpPerson by() {
    int which = random.nextInt(6);
    return which == 5 ? null : people.get(Role.values()[Math.min(which, 3)]);
  }

  // Making requests up

  private List<Route> routes() {
    List<Route> found = new ArrayList<>();
    mapping
        .getHandlerMethods()
        .forEach(
            (info, handler) -> {
              if (handler.getBeanType().getName().startsWith("osmerin.")) {
                for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                  for (String path : info.getPatternValues()) {
                    found.add(new Route(method.name(), path, fieldsOf(handler)));
                  }
                }
              }
            });
    found.sort(Comparator.comparing(r -> r.path() + r.method()));
    return found;
  }

  private static List<String> fieldsOf(HandlerMethod handler) {
    return Arrays.stream(handler.getMethodParameters())
        .filter(parameter -> !parameter.hasParameterAnnotation(PathVariable.class))
        .flatMap(HostileRequestsTest::names)
        .distinct()
        .toList();
  }

  private static Stream<String> names(MethodParameter parameter) {
    parameter.initParameterNameDiscovery(new DefaultParameterNameDiscoverer());
    boolean ours = parameter.getParameterType().getName().startsWith("osmerin.");
    if (parameter.getParameterType().isRecord() && ours) {
      return Arrays.stream(parameter.getParameterType().getRecordComponents())
          .map(RecordComponent::getName);
    }
    return parameter.hasParameterAnnotation(RequestParam.class)
        ? Stream.of(parameter.getParameterName())
        : Stream.empty();
  }

  private String path(Route route) {
    StringBuilder path = new StringBuilder();
    for (String part : route.path().split("(?=/)")) {
      path.append(part.contains("{") ? "/" + variable(part) : part);
    }
    return path.toString();
  }

  private String variable(String part) {
    if (part.equals("/{site}")) {
      return random.nextInt(50) == 0 ? value() : site.site().slug();
    }
    if (part.equals("/{number}") && random.nextInt(5) > 0) {
      return site.site().prefix() + "-000" + (1 + random.nextInt(4));
    }
    return value().replace("/", "%2F").replace("?", "%3F");
  }

  private String fields(List<String> names) {
    StringBuilder fields = new StringBuilder();
    for (String name : names) {
      for (int i = 0; i < (random.nextInt(5) == 0 ? 3 : 1); i++) {
        if (random.nextInt(6) > 0) {
          fields.append('&').append(name).append('=').append(value());
        }
      }
    }
    if (random.nextInt(10) == 0) {
      fields.append("&back=").append(value());
    }
    return fields.toString();
  }

  /** Mostly what could be meant, so that the request gets far. */
  private String value() {
    List<String> from = random.nextInt(10) < 6 ? USUAL : HOSTILE;
    return from.get(random.nextInt(from.size()));
  }

  // Sending them as they are, which no HTTP client does

  private record Answer(int status, String body) {}

  private Answer send(String method, String path, String fields, @Nullable HttpPerson person)
      throws IOException {
    boolean get = method.equals("GET");
    String target = get && !fields.isEmpty() ? path + "?" + fields : path;
    String token = person == null ? "" : "_csrf=" + person.token() + "&";
    String body = get ? "" : token + fields;
    String head =
        method
            + " "
            + target
            + " HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n"
            + (person == null ? "" : "Cookie: " + person.cookieHeader() + "\r\n")
            + (random.nextInt(4) == 0 ? "HX-Request: true\r\n" : "")
            + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: "
            + body.length()
            + "\r\n\r\n";
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
      socket.setSoTimeout(60_000);
      socket.getOutputStream().write((head + body).getBytes(StandardCharsets.ISO_8859_1));
      BufferedReader in =
          new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
      String status = in.readLine();
      StringBuilder rest = new StringBuilder();
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        rest.append(line).append('\n');
      }
      comeBack(person, rest.toString());
      return new Answer(Integer.parseInt(status.split(" ")[1]), rest.toString());
    }
  }

  /** Some requests sign out. */
  private void comeBack(@Nullable HttpPerson person, String answer) {
    if (person != null && answer.contains("/sign-in")) {
      people.entrySet().stream()
          .filter(entry -> entry.getValue() == person)
          .map(Map.Entry::getKey)
          .findFirst()
          .ifPresent(this::signIn);
    }
  }
}
