package osmerin.app.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestPropertySource;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.setup.SetupService.Answers;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.TestDatabase;
import osmerin.core.article.Kind;

/** The first visit of an empty installation. */
@TestPropertySource(properties = "osmerin.setup-code=abc123")
@DirtiesContext
@Transactional
class SetupTest extends ApplicationTest {
  private static final String DATABASE = TestDatabase.empty("osmerin_setup_test");

  @Autowired private SetupService setup;

  @DynamicPropertySource
  static void useAnotherDatabase(DynamicPropertyRegistry registry) {
    registry.add("spring.datasource.hikari.jdbc-url", () -> DATABASE);
  }

  @Test
  void theFirstVisitorWithTheCodeBecomesOwnerOfTheFirstSite() {
    assertThat(setup.isNeeded()).isTrue();
    assertThat(setup.setUp(answers("ABC123", "una@loam.example", "a-long-password", "ll", "UTC")))
        .isEmpty();
    assertThat(setup.isNeeded()).isFalse();
    SignedIn una = (SignedIn) team.loadUserByUsername("UNA@loam.example");
    assertThat(una.initials()).isEqualTo("UB");
    var site = sites.findFor("loam-leaf", una).orElseThrow().site();
    assertThat(site.prefix()).isEqualTo("LL");
    assertThat(types.list(site.id(), Kind.NEW)).hasSize(3);
    assertThat(types.list(site.id(), Kind.REFRESH)).hasSize(3);
    assertThatThrownBy(() -> setup.setUp(answers("abc123", "x@y.z", "a-long-password", "X", "UTC")))
        .isInstanceOf(NotFoundException.class);
  }

  @ParameterizedTest
  @CsvSource({
    "wrong, una, a-long-password, LL, UTC, code",
    "abc123, u, a-long-password, LL, UTC, login",
    "abc123, una, short, LL, UTC, password",
    "abc123, una, a-long-password, 9X, UTC, prefix",
    "abc123, una, a-long-password, LL, Atlantis, zone",
  })
  void aWrongAnswerIsNamedAndNothingIsStored(
      String code, String login, String password, String prefix, String zone, String fault) {
    assertThat(setup.setUp(answers(code, login, password, prefix, zone))).containsOnlyKeys(fault);
    assertThat(setup.isNeeded()).isTrue();
  }

  @Test
  void allFaultsAreToldTogether() {
    assertThat(setup.setUp(new Answers("", "", "", "", "", "", "", "")))
        .containsKeys("code", "name", "login", "password", "siteName", "prefix", "zone");
  }

  private static Answers answers(
      String code, String login, String password, String prefix, String zone) {
    return new Answers(
        code, "Una Berg", login, password, "Loam & Leaf", "loam.example", prefix, zone);
  }
}
