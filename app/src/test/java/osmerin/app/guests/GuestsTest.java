package osmerin.app.guests;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static osmerin.app.support.FormToken.formToken;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.RequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.history.History;
import osmerin.app.history.UndoService;
import osmerin.app.notices.Notice;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.types.GuideEdits;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

class GuestsTest extends ApplicationTest {
  private static final StepRole WRITER = StepRole.WRITER;

  @Autowired private Guests guests;
  @Autowired private ByLink byLink;
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private DraftService drafts;
  @Autowired private UndoService undo;
  @Autowired private History history;
  @Autowired private GuideEdits guides;
  @Autowired private Notices notices;
  @Autowired private StepRoles roles;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private WebApplicationContext context;
  private MockMvc mvc;
  private SiteContext site;
  private String mail;

  @BeforeEach
  void anArticle() {
    mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .apply(SecurityMockMvcConfigurers.springSecurity())
            .build();
    site = emptySite();
    mail = "ines" + site.siteId() + "@post.example";
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.EDITOR, site.personId());
    LocalDate day = site.today().plusWeeks(9);
    articles.commission(site, new Commission("Eels at night", type, null, people, day));
  }

  private GuestLink ask() {
    guests.ask(site, 1, "Ines Molnar", mail, WRITER);
    return link();
  }

  private GuestLink link() {
    return guests.of(round()).get(0);
  }

  private Round round() {
    return articles.get(site, 1);
  }

  private MockHttpServletResponse answer(RequestBuilder request) throws Exception {
    return mvc.perform(request).andReturn().getResponse();
  }

  private MockHttpServletResponse page(GuestLink link) throws Exception {
    return answer(get("/by-link/" + link.token()));
  }

  private MockHttpServletResponse sent(GuestLink link, String path, String name, String value)
      throws Exception {
    return answer(post("/by-link/" + link.token() + path).param(name, value).with(formToken()));
  }

  private boolean isDone(String key) {
    return articles.planned(site, 1).steps().stream()
        .anyMatch(step -> step.key().equals(key) && step.doneOn() != null);
  }

  @Test
  void aGuestIsNamedLikeAnybodyAndGetsALinkByMail() {
    GuestLink link = ask();
    assertThat(round().article().people(WRITER)).containsExactly(link.personId());
    await().until(() -> !MAIL.to(mail).isEmpty());
    assertThat(MAIL.to(mail).get(0))
        .contains("You are the writer of", "/by-link/" + link.token(), "without an account");
    assertThat(team.isAlone(site.siteId())).isTrue();
    assertThatThrownBy(() -> team.loadUserByUsername(mail))
        .isInstanceOf(UsernameNotFoundException.class);
    // Asked again for another article it is the same person.
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    articles.commission(site, new Commission("Elvers", type, null, Map.of(), null));
    guests.ask(site, 2, "Ines M.", mail.toUpperCase(), StepRole.EDITOR);
    GuestLink second = guests.of(articles.get(site, 2)).get(0);
    assertThat(second.personId()).isEqualTo(link.personId());
    assertThat(second.token()).isNotEqualTo(link.token());
  }

  @Test
  void theLinkShowsTheirStepsWithInstructionsAndNothingElse() throws Exception {
    guides.write(site, round().typeId(), "draft", "Write **slowly**. <script>x</script>", 0);
    GuestLink link = ask();
    String shown = page(link).getContentAsString();
    assertThat(shown)
        .contains("Eels at night", "Write the draft", "<strong>slowly</strong>")
        .doesNotContain("Read the proof", "<script>x", "Una Berg", "/articles/");
    assertThat(link().openedAt()).isNotNull();
  }

  @Test
  void whoWritesChecksTheDraftAgainstTheBriefAndHandsItInWithTheSameLink() throws Exception {
    SiteContext editor = join(site.site(), "Per Holm", Role.EDITOR);
    GuestLink link = ask();
    assertThat(page(link).getContentAsString()).contains("Check it against the brief");
    String checked =
        sent(link, "/draft", "text", "# Eels\n\nAt <b>night</b>.").getContentAsString();
    assertThat(checked).contains("Draft check", "# Eels", "&lt;b&gt;night");
    assertThat(drafts.latest(round())).isEmpty();
    assertThat(handIn(link, "# Eels\n\nAt night.").getStatus()).isEqualTo(302);
    assertThat(drafts.latest(round()).orElseThrow().savedBy()).isEqualTo("Ines Molnar");
    assertThat(isDone("draft")).isTrue();
    assertThat(notices.of(site.personId(), 0, 9))
        .extracting(Notice::text)
        .contains("Ines Molnar handed in a draft of %s.".formatted(round().reference()));
    undo.undo(editor, history.entries(editor, History.Asked.ALL, 0, 1).get(0).id());
    assertThat(isDone("draft")).isFalse();
    MockHttpServletResponse empty = handIn(link, "  ");
    assertThat(empty.getStatus()).isEqualTo(422);
    assertThat(empty.getContentAsString()).contains("1 to 400,000 characters");
  }

  private MockHttpServletResponse handIn(GuestLink link, String text) throws Exception {
    return answer(
        post("/by-link/" + link.token() + "/draft")
            .param("text", text)
            .param("what", "hand-in")
            .with(formToken()));
  }

  @Test
  void whoDoesNotWriteOrSeesNoBriefHandsInNoDraft() throws Exception {
    GuestLink writer = ask();
    guests.showBrief(site, 1, writer.id(), false);
    assertThat(page(writer).getContentAsString()).doesNotContain("Check it against");
    assertThat(handIn(writer, "Mine").getStatus()).isEqualTo(422);
    guests.ask(site, 1, "Per Ek", "per" + mail, StepRole.EDITOR);
    GuestLink editor =
        guests.of(round()).stream().filter(l -> l.guest().equals("Per Ek")).findFirst().get();
    guests.showBrief(site, 1, editor.id(), true);
    assertThat(page(editor).getContentAsString()).doesNotContain("Check it against");
    assertThat(handIn(editor, "Mine").getContentAsString())
        .contains("no longer write the draft", "Mine");
    assertThat(sent(editor, "/draft", "text", "Mine").getStatus()).isEqualTo(422);
    assertThat(drafts.latest(round())).isEmpty();
  }

  @Test
  void whoWritesSeesTheBriefUntilItIsHidden() throws Exception {
    GuestLink link = ask();
    assertThat(page(link).getContentAsString()).contains("The brief");
    guests.showBrief(site, 1, link.id(), false);
    assertThat(page(link).getContentAsString()).doesNotContain("The brief");
    guests.ask(site, 1, "Per Ek", "per" + mail, StepRole.EDITOR);
    GuestLink other =
        guests.of(round()).stream()
            .filter(l -> l.guest().equals("Per Ek"))
            .findFirst()
            .orElseThrow();
    assertThat(page(other).getContentAsString()).doesNotContain("The brief");
  }

  @Test
  void theyTickTheirOwnStepsOnly() throws Exception {
    GuestLink link = ask();
    assertThat(sent(link, "/steps/draft", "done", "true").getStatus()).isEqualTo(302);
    assertThat(isDone("draft")).isTrue();
    assertThat(sent(link, "/steps/draft", "done", "false").getStatus()).isEqualTo(302);
    assertThat(isDone("draft")).isFalse();
    assertThat(sent(link, "/steps/brief", "done", "true").getStatus()).isEqualTo(404);
    assertThat(isDone("brief")).isFalse();
  }

  @Test
  void aNoteAndAFileArriveAndEditorsAreTold() throws Exception {
    GuestLink link = ask();
    sent(link, "/note", "text", "The weir is closed until May.");
    MockMultipartFile file =
        new MockMultipartFile(
            "file", "../../we\u202Eir.html", "text/html", "<script>alert(1)</script>".getBytes());
    answer(multipart("/by-link/" + link.token() + "/file").file(file).with(formToken()));
    List<HandedIn> left = guests.handedIn(round());
    assertThat(left)
        .extracting(HandedIn::text)
        .containsExactly("weir.html", "The weir is closed until May.");
    assertThat(notices.of(site.personId(), 0, 9))
        .extracting(Notice::text)
        .contains(
            "Ines Molnar left a note for %s.".formatted(round().reference()),
            "Ines Molnar handed in a file for %s.".formatted(round().reference()));
    assertThat(page(link).getContentAsString()).contains("weir.html", "The weir is closed");
  }

  @Test
  void aRevokedLinkSaysSoAndKeepsWhatWasTyped() throws Exception {
    GuestLink link = ask();
    guests.revoke(site, 1, link.id());
    MockHttpServletResponse answer = sent(link, "/note", "text", "Two hours of <typing>");
    assertThat(answer.getStatus()).isEqualTo(410);
    assertThat(answer.getContentAsString())
        .contains("This link was revoked", "Two hours of &lt;typing&gt;");
    assertThat(guests.handedIn(round())).isEmpty();
    assertThat(sent(link, "/steps/draft", "done", "true").getStatus()).isEqualTo(410);
    assertThat(isDone("draft")).isFalse();
    assertThat(link().revokedAt()).isNotNull();
  }

  @Test
  void whoseLinkWasRevokedGetsAnotherFromAPersonOnly() throws Exception {
    GuestLink link = ask();
    await().until(() -> MAIL.to(mail).size() == 1);
    guests.revoke(site, 1, link.id());
    articles.planned(site, 1).steps().stream()
        .map(step -> step.key())
        .takeWhile(key -> !key.equals("draft"))
        .forEach(key -> edits.tick(site, 1, key, true));
    assertThat(link().token()).isEqualTo(link.token());
    guests.send(site, 1, link.id());
    await().until(() -> MAIL.to(mail).size() == 2);
    assertThat(MAIL.to(mail)).anyMatch(text -> text.contains("/by-link/" + link().token()));
    assertThat(link().token()).isNotEqualTo(link.token());
    assertThat(page(link()).getStatus()).isEqualTo(200);
    assertThat(page(link).getStatus()).isEqualTo(410);
  }

  @Test
  void anotherGuestOfTheSameNameSeesNothingOfTheirs() throws Exception {
    GuestLink first = ask();
    guests.ask(site, 1, "Ines Molnar", "other-" + mail, StepRole.EDITOR);
    GuestLink second =
        guests.of(round()).stream()
            .filter(l -> l.personId() != first.personId())
            .findFirst()
            .orElseThrow();
    sent(first, "/note", "text", "For the editors only.");
    assertThat(page(first).getContentAsString()).contains("For the editors only.");
    assertThat(page(second).getContentAsString()).doesNotContain("For the editors only.");
  }

  @Test
  void aLinkExpiresAndEndsWithTheirStayAndIsExtendedByMailingItAgain() throws Exception {
    GuestLink link = ask();
    jdbc.update(
        "update guest_link set expires_at = now() - interval '1 second' where id = ?", link.id());
    assertThat(page(link).getContentAsString()).contains("This link has expired");
    guests.send(site, 1, link.id());
    assertThat(page(link).getStatus()).isEqualTo(200);
    team.remove(site, link.personId());
    assertThat(page(link).getStatus()).isEqualTo(410);
  }

  @Test
  void linksAreThrottledAndGuessesToo() throws Exception {
    GuestLink link = ask();
    int status = 0;
    for (int i = 0; i < 40 && status != 429; i++) {
      status = sent(link, "/note", "text", "again").getStatus();
    }
    assertThat(status).isEqualTo(429);
    assertThat(guests.handedIn(round()).size()).isBetween(25, 40);
    for (int i = 0; i < 40 && status != 404; i++) {
      status = answer(get("/by-link/nobody-has-this")).getStatus();
    }
    for (int i = 0; i < 40 && status != 429; i++) {
      status = answer(get("/by-link/nobody-has-this")).getStatus();
    }
    assertThat(status).isEqualTo(429);
  }

  @Test
  void whatCannotBeIsRefused() throws Exception {
    GuestLink link = ask();
    assertThatThrownBy(this::ask).hasMessageContaining("already named as writer of");
    assertThatThrownBy(() -> guests.ask(site, 1, "", "a@b.example", WRITER))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> guests.ask(site, 1, "Wim", "nowhere", WRITER))
        .hasMessage("“nowhere” is not a mail address.");
    assertThatThrownBy(() -> team.changeRole(site, link.personId(), Role.GUEST, Role.OWNER))
        .hasMessageContaining("A guest has no account");
    assertThat(sent(link, "/note", "text", " ").getContentAsString())
        .contains("Write something first");
    assertThat(sent(link, "/note", "text", "x".repeat(5_001)).getContentAsString())
        .contains("at most 5000 characters", "x".repeat(5_001));
    SiteContext other = emptySite();
    long type = types.list(other.siteId(), Kind.NEW).get(0).id();
    articles.commission(other, new Commission("Moles", type, null, Map.of(), null));
    assertThatThrownBy(() -> guests.revoke(other, 1, link.id()))
        .isInstanceOf(osmerin.app.platform.web.NotFoundException.class);
  }

  @Test
  void whatIsTooLargeIsTurnedAwayBeforeItIsRead() throws Exception {
    String token = ask().token();
    MockHttpServletResponse large =
        answer(
            post("/by-link/" + token + "/note")
                .contentType("application/x-www-form-urlencoded")
                .content(new byte[22 << 20])
                .with(formToken()));
    assertThat(large.getStatus()).isEqualTo(413);
    MockMultipartFile file =
        new MockMultipartFile("file", "a.bin", "text/plain", new byte[GuestNotes.LARGEST_FILE + 1]);
    MockHttpServletResponse answer =
        answer(multipart("/by-link/" + token + "/file").file(file).with(formToken()));
    assertThat(answer.getStatus()).isEqualTo(422);
    assertThat(answer.getContentAsString()).contains("at most 20 MB");
    assertThat(guests.handedIn(round())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "C:\\sketches\\one.png | one.png",
        "/etc/passwd | passwd",
        ".. | file..",
        ".htaccess | file.htaccess",
        "a<b>:c?.txt | abc.txt"
      })
  void namesOfFilesAreMadeHarmless(String sent, String shown) {
    assertThat(FileName.shown(sent)).isEqualTo(shown);
    assertThat(FileName.shown("x".repeat(500) + ".docx")).hasSize(120).endsWith(".docx");
  }
}
