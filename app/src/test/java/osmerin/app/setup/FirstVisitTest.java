package osmerin.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestPropertySource;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.app.support.TestDatabase;

/** From the address that the start command prints to the owner's desk. */
@TestPropertySource(properties = "osmerin.setup-code=abc123")
@DirtiesContext
class FirstVisitTest extends ApplicationTest {
  private static final String DATABASE = TestDatabase.empty("osmerin_first_visit_test");

  @DynamicPropertySource
  static void useAnotherDatabase(DynamicPropertyRegistry registry) {
    registry.add("spring.datasource.hikari.jdbc-url", () -> DATABASE);
  }

  @Test
  void theFirstVisitorIsLedToSetUpAndIsSignedInAfterIt() {
    HttpPerson visitor = HttpPerson.stranger("http://127.0.0.1:" + port);
    assertThat(location(visitor.get("/"))).endsWith("/sign-in");
    assertThat(location(visitor.get("/sign-in"))).endsWith("/welcome");
    assertThat(visitor.get("/welcome").body()).contains("data-own-zone");
    HttpResponse<String> wrong = setUp(visitor, "wrong");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Una Berg");
    assertThat(location(setUp(visitor, "abc123"))).endsWith("/");
    assertThat(location(visitor.get("/"))).endsWith("/loam/desk");
    assertThat(visitor.get("/loam/desk").body())
        .contains("Get started", "Import keyword research", "Import live pages", "Invite people");
    assertThat(location(visitor.get("/welcome"))).endsWith("/");
    HttpPerson other = HttpPerson.stranger("http://127.0.0.1:" + port);
    assertThat(other.get("/sign-in").statusCode()).isEqualTo(200);
  }

  private static HttpResponse<String> setUp(HttpPerson visitor, String code) {
    return visitor.post(
        "/welcome",
        "code",
        code,
        "name",
        "Una Berg",
        "login",
        "una",
        "password",
        "a-cellar-full-9",
        "siteName",
        "Loam",
        "address",
        "",
        "prefix",
        "LM",
        "zone",
        "UTC");
  }

  private static String location(HttpResponse<String> answer) {
    return answer.headers().firstValue("Location").orElse("no redirect: " + answer.statusCode());
  }
}
