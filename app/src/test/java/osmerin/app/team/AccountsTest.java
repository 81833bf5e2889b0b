package osmerin.app.team;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

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
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.History;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.mail.PublicAddress;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.app.team.Settings.Theme;

/** Invitations, passwords and sessions. */
class AccountsTest extends ApplicationTest {
  private static final String BETTER = "moss-lantern-forty";

  @Autowired private AccountService accounts;
  @Autowired private Invitations invitations;
  @Autowired private LinkMapper links;
  @Autowired private History history;
  @Autowired private Post post;
  @Autowired private PublicAddress address;
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
    "unabergunaberg, common",
  })
  void passwordsAreRefusedByLengthAndWhenTheyAreEasyToGuess(String password, String why) {
    assertThat(accounts.passwordFault(password, List.of("Una Berg", "unaberg")))
        .hasValueSatisfying(fault -> assertThat(fault).contains(why));
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
    Invitations then = new Invitations(links, team, accounts, history, post, address, later);
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
        owner.person(), new Settings(owner.person().login(), "Una Berg", mail, Theme.DARK, true));
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
  void aMailAddressBelongsToOnePerson() {
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    String login = writer.person().login();
    accounts.set(owner.person(), new Settings("x", "Una Berg", mail, Theme.AUTO, true));
    assertThatThrownBy(
            () -> accounts.set(writer.person(), new Settings(login, "W", mail, Theme.AUTO, true)))
        .hasMessageContaining("somebody else");
    assertThatThrownBy(
            () -> accounts.set(writer.person(), new Settings(login, " ", null, Theme.AUTO, true)))
        .isInstanceOf(RefusedException.class);
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
}
