package osmerin.app.team;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static osmerin.app.support.FormToken.formToken;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import java.net.URI;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import osmerin.app.history.Entry;
import osmerin.app.history.History;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.mail.WithoutMailServer;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.app.team.MailAddresses.Asked;
import osmerin.app.team.Settings.Theme;

/** Invitations, passwords and sessions. */
class AccountsTest extends ApplicationTest {
  private static final String BETTER = "moss-lantern-forty";

  @Autowired private WebApplicationContext context;
  @Autowired private AccountService accounts;
  @Autowired private Invitations invitations;
  @Autowired private LinkMapper links;
  @Autowired private TeamMapper people;
  @Autowired private MailAddresses mails;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private History history;
  @Autowired private Post post;
  @Autowired private SchedulerClient scheduler;
  private SiteContext owner;
  private String mail;

  @BeforeEach
  void anOwner() {
    owner = emptySite();
    mail = "edda" + owner.siteId() + "@post.example";
  }

  @ParameterizedTest
  @CsvSource({
    "short, at least 10",
    "password1234, common",
    "1234567890, common",
    "qwertyuiop, common",
    "unabergunaberg, your name",
  })
  void passwordsAreRefusedByLengthAndWhenTheyAreEasyToGuess(String password, String why) {
    assertThat(accounts.passwordFault(password, List.of("Una Berg", "unaberg")))
        .hasValueSatisfying(fault -> assertThat(fault).contains(why));
  }

  @Test
  void guessing_ones_password_while_signed_in_is_slowed_down() {
    SiteContext owner = emptySite();
    for (int i = 0; i < 8; i++) {
      assertThatThrownBy(() -> accounts.changePassword(owner.person(), "a guess", BETTER, ""))
          .hasMessageContaining("isn't your current password");
    }
    assertThatThrownBy(() -> accounts.changePassword(owner.person(), PASSWORD, BETTER, ""))
        .hasMessageContaining("Too many passwords were tried");
  }

  @Test
  void threeUnrelatedWordsAreAPassword() {
    assertThat(accounts.passwordFault(BETTER, List.of("Una Berg"))).isEmpty();
    assertThat(accounts.passwordFault("ø".repeat(40), List.of())).isPresent();
  }

  @Test
  void anInvitationComesByMailWorksOnceAndGivesTheRole() {
    String token = token(invitations.invite(owner, " " + mail + " ", Role.EDITOR));
    await().until(() -> MAIL.to(mail).size() == 1);
    assertThat(MAIL.to(mail).get(0)).contains("/invitation/" + token, "as editor");
    assertThat(invitations.acceptNew(token, "Edda Noor", "edda noor")).containsKey("password");
    assertThat(invitations.acceptNew(token, " ", BETTER)).containsKey("name");
    assertThat(invitations.acceptNew(token, "Edda Noor", BETTER)).isEmpty();
    SignedIn edda = (SignedIn) team.loadUserByUsername(mail);
    assertThat(sites.findFor(owner.site().slug(), edda).orElseThrow().role())
        .isEqualTo(Role.EDITOR);
    assertThat(invitations.find(token)).isEmpty();
    assertThatThrownBy(() -> invitations.acceptNew(token, "Another", BETTER))
        .isInstanceOf(NotFoundException.class);
    assertThatThrownBy(() -> invitations.invite(owner, mail, Role.WRITER))
        .hasMessageContaining("works on this site already");
  }

  @Test
  void anInvitationIsWithdrawnEndsByItselfAndIsStoredOnlyHashed() {
    String token = token(invitations.invite(owner, mail, Role.WRITER));
    assertThat(links.find(token.getBytes(UTF_8), Instant.now())).isEmpty();
    invitations.revoke(owner, invitations.open(owner).get(0).id());
    assertThat(invitations.find(token)).isEmpty();
    String second = token(invitations.invite(owner, mail, Role.WRITER));
    Clock later = Clock.offset(Clock.systemUTC(), Invitations.VALID.plus(Duration.ofMinutes(1)));
    Invitations then = new Invitations(links, team, accounts, sites, history, post, later);
    assertThat(then.find(second)).isEmpty();
    assertThat(then.open(owner)).isEmpty();
    assertThat(invitations.find(second)).isPresent();
  }

  @Test
  void onlyOwnersInviteAndOnlyRealAddressesAreInvited() {
    SiteContext strategist = join(owner.site(), "Stig Aro", Role.STRATEGIST);
    assertThatThrownBy(() -> invitations.invite(strategist, mail, Role.OWNER))
        .isInstanceOf(ForbiddenException.class);
    for (String wrong : new String[] {"", "nobody", "a@b,c@d", "<x@y>"}) {
      assertThatThrownBy(() -> invitations.invite(owner, wrong, Role.WRITER))
          .isInstanceOf(RefusedException.class);
    }
    assertThat(invitations.open(owner)).isEmpty();
  }

  @Test
  void somebodyWhoWorksElsewhereTakesAnInvitationSignedIn() {
    SiteContext other = emptySite();
    String token = token(invitations.invite(owner, mail, Role.STRATEGIST));
    invitations.accept(token, other.person());
    assertThat(sites.of(other.personId())).hasSize(2);
    assertThat(sites.findFor(owner.site().slug(), other.person()).orElseThrow().role())
        .isEqualTo(Role.STRATEGIST);
    assertThat(sites.findFor(other.site().slug(), owner.person())).isEmpty();
  }

  @Test
  void aNewPasswordEndsEverySessionButTheOneItWasChangedIn() {
    String account = owner.base() + "/account";
    HttpPerson here = signedIn(PASSWORD);
    HttpPerson there = signedIn(PASSWORD);
    here.get(account);
    here.post(account + "/password", "old", "wrong-old-one", "password", BETTER);
    assertThat(isIn(there)).isTrue();
    here.post(account + "/password", "old", PASSWORD, "password", BETTER);
    assertThat(isIn(here)).isTrue();
    assertThat(isIn(there)).isFalse();
    HttpPerson again = signedIn(BETTER);
    again.get(account);
    again.post(account + "/sign-out-everywhere");
    assertThat(isIn(here)).isFalse();
    assertThat(isIn(again)).isFalse();
  }

  private HttpPerson signedIn(String password) {
    return new HttpPerson("http://127.0.0.1:" + port, owner.person().login(), password);
  }

  private boolean isIn(HttpPerson person) {
    return person.get(owner.base() + "/desk").statusCode() == 200;
  }

  @Test
  void guessingIsSlowedAndSaysForHowLong() {
    HttpPerson guesser = HttpPerson.stranger("http://127.0.0.1:" + port);
    String login = owner.person().login();
    guesser.get("/sign-in");
    HttpResponse<String> answer = null;
    for (int i = 0; i < 7; i++) {
      answer = guesser.post("/sign-in", "login", login, "password", "guess-number-" + i);
    }
    assertThat(answer.headers().firstValue("Retry-After")).isPresent();
    URI page = URI.create(answer.headers().firstValue("Location").orElseThrow());
    assertThat(guesser.get(page.getPath() + "?" + page.getQuery()).body())
        .contains("Too many tries");
  }

  @Test
  void aForgottenPasswordIsChosenAnewByALinkThatWorksOnce() {
    accounts.set(
        owner.person(), new Settings(owner.person().login(), "Una Berg", null, Theme.DARK, true));
    giveMail(owner, mail);
    accounts.forgotten("nobody-of-that-name");
    accounts.forgotten(mail.toUpperCase());
    await().until(() -> MAIL.to(mail).size() == 1);
    String token = MAIL.to(mail).get(0).replaceFirst("(?s).*/password/([\\w-]+).*", "$1");
    assertThatThrownBy(() -> accounts.choosePassword(token, "short"))
        .isInstanceOf(RefusedException.class);
    accounts.choosePassword(token, BETTER);
    assertThat(accounts.ofLink(token)).isEmpty();
    assertThatThrownBy(() -> accounts.choosePassword(token, BETTER + "!"))
        .isInstanceOf(NotFoundException.class);
    assertThat(accounts.settings(owner.personId()).theme()).isEqualTo(Theme.DARK);
  }

  @Test
  void anOwnerHandsOutAPasswordLinkOnlyForWhoWorksNowhereElse() {
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    Person wim = team.get(owner, writer.personId());
    assertThat(accounts.passwordLinkFor(owner, wim)).contains("/password/");
    team.join(emptySite().siteId(), wim.id(), Role.WRITER);
    assertThatThrownBy(() -> accounts.passwordLinkFor(owner, wim))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void aMailAddressBelongsToOnePersonAndTakesThePassword() {
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    giveMail(owner, mail);
    assertThatThrownBy(() -> mails.ask(writer.person(), mail, PASSWORD))
        .hasMessageContaining("somebody else");
    assertThatThrownBy(() -> mails.ask(writer.person(), "wim@post.example", "a-guess"))
        .hasMessageContaining("current password");
    assertThatThrownBy(
            () -> accounts.set(writer.person(), new Settings("x", " ", null, Theme.AUTO, true)))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void anotherMailAddressCountsOnceItIsConfirmedAndTheOldOneIsTold() {
    giveMail(owner, mail);
    String other = "new-" + mail;
    accounts.forgotten(mail);
    await().until(() -> MAIL.to(mail).size() == 1);
    String reset = MAIL.to(mail).get(0).replaceFirst("(?s).*/password/([\\w-]+).*", "$1");
    assertThat(mails.ask(owner.person(), other, PASSWORD)).isEqualTo(Asked.WAITS_FOR_LINK);
    assertThat(accounts.settings(owner.personId()).mail()).isEqualTo(mail);
    await().until(() -> MAIL.to(other).size() == 1);
    String confirm = MAIL.to(other).get(0).replaceFirst("(?s).*/mail/([\\w-]+).*", "$1");
    HttpPerson anybody = HttpPerson.stranger("http://127.0.0.1:" + port);
    assertThat(anybody.get("/mail/" + confirm).body()).contains("Use " + other);
    assertThat(accounts.settings(owner.personId()).mail()).isEqualTo(mail);
    assertThat(anybody.post("/mail/" + confirm).body()).contains("is " + other + " now");
    assertThat(accounts.settings(owner.personId()).mail()).isEqualTo(other);
    assertThat(anybody.get("/mail/" + confirm).statusCode()).isEqualTo(404);
    assertThat(accounts.ofLink(reset)).isEmpty();
    await().until(() -> MAIL.to(mail).size() == 2);
    assertThat(MAIL.to(mail)).anyMatch(letter -> letter.contains(other));
  }

  @Test
  void withoutMailAnOwnerConfirmsForWhoWorksNowhereElse() {
    MailAddresses unmailed =
        new MailAddresses(
            people, links, accounts, WithoutMailServer.post(scheduler), Clock.systemUTC());
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    assertThat(unmailed.ask(writer.person(), mail, PASSWORD)).isEqualTo(Asked.WAITS_FOR_OWNER);
    assertThat(accounts.settings(writer.personId()).mail()).isNull();
    assertThat(mails.waiting(owner).get(writer.personId()).mail()).isEqualTo(mail);
    Person wim = team.get(owner, writer.personId());
    assertThatThrownBy(() -> mails.confirmFor(writer, wim)).isInstanceOf(ForbiddenException.class);
    assertThat(mails.confirmFor(owner, wim)).isEqualTo(mail);
    assertThat(accounts.settings(writer.personId()).mail()).isEqualTo(mail);
    assertThat(mails.waiting(owner)).isEmpty();
    assertThat(unmailed.ask(owner.person(), "una-" + mail, PASSWORD)).isEqualTo(Asked.CHANGED);
  }

  private void giveMail(SiteContext person, String address) {
    people.setMail(person.personId(), address);
  }

  @Test
  void anInvitationNeverLowersARoleAndStandsInTheHistory() {
    SiteContext second = emptySite();
    String token = token(invitations.invite(owner, mail, Role.WRITER));
    invitations.accept(token, owner.person());
    assertThat(sites.findFor(owner.site().slug(), owner.person()).orElseThrow().role())
        .isEqualTo(Role.OWNER);
    assertThat(sentences()).contains("Una Berg took an invitation as writer and stays Owner.");
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    String higher = token(invitations.invite(owner, "b" + mail, Role.EDITOR));
    invitations.accept(higher, writer.person());
    assertThat(team.get(owner, writer.personId()).role()).isEqualTo(Role.EDITOR);
    assertThat(sentences()).contains("Wim Asare took the invitation and is Editor.");
    assertThat(second.role()).isEqualTo(Role.OWNER);
  }

  private List<String> sentences() {
    return history.entries(owner, History.Asked.ALL, 0, 20).stream().map(Entry::sentence).toList();
  }

  @Test
  void aChangedPasswordEndsTheLinksForANewOne() {
    giveMail(owner, mail);
    accounts.forgotten(mail);
    await().until(() -> MAIL.to(mail).size() == 1);
    String token = MAIL.to(mail).get(0).replaceFirst("(?s).*/password/([\\w-]+).*", "$1");
    assertThat(accounts.ofLink(token)).isPresent();
    accounts.changePassword(owner.person(), PASSWORD, BETTER, "");
    assertThat(accounts.ofLink(token)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "jory jory jory",
    "JoryPellJory",
    "jory-pell-2026",
    "Marlpit Marlpit",
    "marlpit.jory.1",
    "pelljorypell!",
  })
  void passwordsMadeOfOnesOwnOrTheSitesNameAreRefused(String password) {
    assertThat(accounts.passwordFault(password, List.of("Jory Pell", "jory", "Marlpit")))
        .isPresent();
    assertThat(accounts.passwordFault(BETTER, List.of("Jory Pell", "jory", "Marlpit"))).isEmpty();
  }

  @Test
  void namesThatLookLikeOthersAreRefused() {
    String token = token(invitations.invite(owner, mail, Role.WRITER));
    for (String name :
        new String[] {"Una\u200BBerg", "\u202EgreB anU", "Una\u0000", "U".repeat(101)}) {
      assertThat(invitations.acceptNew(token, name, BETTER)).containsOnlyKeys("name");
      assertThatThrownBy(
              () -> accounts.set(owner.person(), new Settings("x", name, null, Theme.AUTO, true)))
          .isInstanceOf(RefusedException.class);
    }
  }

  @Test
  void aVisitWithoutSigningInLeavesNoSessionAndASessionHoldsNoHash() {
    long before = sessions();
    HttpPerson stranger = HttpPerson.stranger("http://127.0.0.1:" + port);
    for (String page :
        new String[] {
          "/", "/sign-in", "/forgotten", "/welcome", owner.base() + "/desk", "/no-such"
        }) {
      stranger.get(page);
      assertThat(sessions()).as(page).isEqualTo(before);
    }
    stranger.post("/sign-in", "login", "nobody", "password", "a guess of mine");
    stranger.get("/sign-in?wrong");
    assertThat(sessions()).isEqualTo(before);
    signedIn(PASSWORD).get(owner.base() + "/desk");
    assertThat(sessions()).isEqualTo(before);
    Long hashes =
        jdbc.queryForObject(
            "select count(*) from spring_session_attributes"
                + " where position('$2a$'::bytea in attribute_bytes) > 0",
            Long.class);
    assertThat(hashes).isZero();
  }

  private long sessions() {
    return jdbc.queryForObject(
        "select count(*) from spring_session where principal_name is null", Long.class);
  }

  @Test
  void whoSignsInIsLedToThePageAskedForAndNeverElsewhere() {
    HttpPerson person = HttpPerson.stranger("http://127.0.0.1:" + port);
    person.get(owner.base() + "/research?sort=name");
    person.get("/sign-in");
    HttpResponse<String> in =
        person.post("/sign-in", "login", owner.person().login(), "password", PASSWORD);
    assertThat(in.headers().firstValue("Location").orElse("")).endsWith("/research?sort=name");
    person.get(owner.base() + "/desk");
    person.post("/sign-out");
    person.get("/sign-in");
    HttpResponse<String> again =
        person.post("/sign-in", "login", owner.person().login(), "password", PASSWORD);
    assertThat(again.headers().firstValue("Location").orElse("")).doesNotContain("/research");
  }

  @Test
  void askingForPasswordLinksIsSlowedByAddressAndByName() throws Exception {
    // From an address of its own, since asking from it counts for all tests.
    MockMvc mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .apply(SecurityMockMvcConfigurers.springSecurity())
            .build();
    giveMail(owner, mail);
    MockHttpServletResponse answer = null;
    for (int i = 0; i < 12; i++) {
      answer =
          mvc.perform(
                  post("/forgotten")
                      .param("login", mail)
                      .with(formToken())
                      .with(
                          request -> {
                            request.setRemoteAddr("198.51.100.7");
                            return request;
                          }))
              .andReturn()
              .getResponse();
    }
    assertThat(answer.getStatus()).isEqualTo(429);
    assertThat(answer.getHeader("Retry-After")).isNotNull();
    await().until(() -> MAIL.to(mail).size() >= 3);
    assertThat(MAIL.to(mail)).hasSize(3);
  }

  @Test
  void thereIsAlwaysAnOwnerAndTwoWhoChangeARoleDoNotOverwriteEachOther() {
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    assertThatThrownBy(() -> team.changeRole(owner, owner.personId(), Role.OWNER, Role.EDITOR))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> team.remove(owner, owner.personId()))
        .isInstanceOf(RefusedException.class);
    team.changeRole(owner, writer.personId(), Role.WRITER, Role.OWNER);
    assertThatThrownBy(() -> team.changeRole(owner, writer.personId(), Role.WRITER, Role.EDITOR))
        .isInstanceOfSatisfying(
            ConflictException.class, c -> assertThat(c.theirs()).isEqualTo("Owner"));
    team.remove(owner, writer.personId());
    assertThat(sites.findFor(owner.site().slug(), writer.person())).isEmpty();
  }

  private static String token(String link) {
    return link.substring(link.lastIndexOf('/') + 1);
  }

  /** A mail program would read another address out of these. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "zq(b)@x.example",
        "\"a b\"@x.example",
        "a@x.example(b)",
        "<a@x.example>",
        "a:b@x.example",
        "a@[127.0.0.1]",
        "a\\b@x.example",
        "a@",
        "@x.example",
        "a@.example",
        "a..b@x.example",
        "a.@x.example",
        "a@x..example",
        "a@-x.example"
      })
  void anAddressThatMayBeReadInTwoWaysIsNone(String typed) {
    assertThatThrownBy(() -> AccountService.mail(typed)).isInstanceOf(RefusedException.class);
    assertThat(AccountService.mail(" o'hara+blog@post.example "))
        .isEqualTo("o'hara+blog@post.example");
  }
}
