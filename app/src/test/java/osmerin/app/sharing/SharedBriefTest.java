package osmerin.app.sharing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.guests.Guests;
import osmerin.app.history.UndoService;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.HttpPerson;
import osmerin.core.article.Kind;
import osmerin.core.article.StageAct;
import osmerin.core.brief.BriefPart;
import osmerin.core.runup.StepRole;

class SharedBriefTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private BriefService briefs;
  @Autowired private BriefLinks links;
  @Autowired private DraftService drafts;
  @Autowired private Guests guests;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private Notices notices;
  @Autowired private UndoService undo;
  private SiteContext site;
  private Round round;
  private HttpPerson reader;

  @BeforeEach
  void aBriefThatIsShared() {
    site = emptySite();
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    round = articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
    briefs.change(
        site,
        round,
        now ->
            now.withTitle("<script>eels</script>")
                .withText(BriefPart.READER, "Anglers & <b>others</b>"));
    reader = HttpPerson.stranger("http://127.0.0.1:" + port);
  }

  private BriefLink share(boolean check, boolean handIn) {
    links.make(site, round, new BriefLinks.Wanted("Ines Molnar", 30, check, handIn));
    return links.of(round).get(0).link();
  }

  @Test
  void aLinkOpensItsBriefWithoutAnAccountAndNothingElse() {
    BriefLink link = share(true, true);
    HttpResponse<String> page = reader.get(link.path());
    assertThat(page.statusCode()).isEqualTo(200);
    assertThat(page.body())
        .contains("&lt;script&gt;eels", "Anglers &amp; &lt;b&gt;others", "Ines Molnar")
        .doesNotContain("<script>eels", site.base() + "/articles");
    assertThat(links.of(round).get(0).link().openings()).isEqualTo(1);
    assertThat(reader.get(site.base() + "/desk").statusCode()).isEqualTo(302);
    // 404, or 429 where others have guessed from here as well.
    assertThat(reader.get("/by-link/brief/nobody-has-this").body()).contains("is not known");
  }

  @Test
  void aRevokedLinkSaysSoKeepsWhatWasTypedAndWorksAgainWhenItIsLet() {
    BriefLink link = share(true, true);
    reader.get(link.path());
    links.revoke(site, round, link.id(), true);
    assertThat(reader.get(link.path()).statusCode()).isEqualTo(410);
    HttpResponse<String> late =
        reader.post(link.path(), "text", "My whole draft", "what", "hand-in");
    assertThat(late.statusCode()).isEqualTo(410);
    assertThat(late.body()).contains("was revoked", "My whole draft");
    assertThat(drafts.latest(round)).isEmpty();
    links.revoke(site, round, link.id(), false);
    assertThat(reader.get(link.path()).statusCode()).isEqualTo(200);
  }

  @Test
  void aDraftIsCheckedAndHandedInUnderTheirNameWithItsStepAsOneAct() {
    SiteContext editor = join(site.site(), "Per Holm", Role.EDITOR);
    BriefLink link = share(true, true);
    reader.get(link.path());
    HttpResponse<String> checked =
        reader.post(link.path(), "text", "# Eels\n\nAt night.", "what", "check");
    assertThat(checked.body()).contains("Draft check", "At night.");
    assertThat(drafts.latest(round)).isEmpty();
    HttpResponse<String> handed =
        reader.post(link.path(), "text", "# Eels\n\nAt night.", "what", "hand-in");
    assertThat(handed.body()).contains("was handed in");
    assertThat(drafts.latest(round).orElseThrow().savedBy()).isEqualTo("Ines Molnar");
    assertThat(done()).contains("Write the draft");
    int number = round.article().number();
    assertThat(articles.get(site, number).stage().label())
        .isEqualTo(stageList.of(site.siteId()).at(StageAct.HAND_IN).label());
    assertThat(notices.of(site.personId(), 0, 5)).isNotEmpty();
    undo.undoLatest(site);
    assertThat(done()).doesNotContain("Write the draft");
    assertThat(articles.get(site, number).stage().label()).isEqualTo(round.stage().label());
    assertThat(editor.personId()).isNotZero();
  }

  private List<String> done() {
    return articles.page(site, round.article().number(), null).planned().steps().stream()
        .filter(step -> step.doneOn() != null)
        .map(StepRow::name)
        .toList();
  }

  @Test
  void aGuestOfTheArticleNeedsNoSecondLink() {
    guests.ask(site, round.article().number(), "Ines Molnar", "ines@post.example", StepRole.EDITOR);
    assertThat(links.ofGuests(round).get(0).link().withBrief()).isFalse();
    boolean fresh = links.make(site, round, new BriefLinks.Wanted(" ines molnar", 30, true, true));
    assertThat(fresh).isFalse();
    assertThat(links.of(round)).isEmpty();
    assertThat(links.ofGuests(round).get(0).link().withBrief()).isTrue();
    guests.revoke(site, round.article().number(), links.ofGuests(round).get(0).link().id());
    assertThat(links.make(site, round, new BriefLinks.Wanted("Ines Molnar", 30, true, true)))
        .isTrue();
  }

  @Test
  void aGuestsLinkThatHasExpiredIsShownAsSuchAndDoesNotStandInForANewOne() {
    guests.ask(site, round.article().number(), "Ines Molnar", "ines@post.example", StepRole.EDITOR);
    jdbc.update(
        "update guest_link set expires_at = now() - interval '1 day' where article_id = ?",
        round.article().id());
    assertThat(links.ofGuests(round)).noneMatch(BriefLinks.ShownOfGuest::works);
    HttpPerson owner = new HttpPerson("http://127.0.0.1:" + port, site.person().login(), PASSWORD);
    assertThat(owner.get(site.base() + "/articles/" + round.reference() + "/brief/links").body())
        .contains("Ines Molnar", "expired")
        .doesNotContain("/by-link/");
    assertThat(links.make(site, round, new BriefLinks.Wanted("Ines Molnar", 30, true, true)))
        .isTrue();
  }

  @Test
  void aLinkGivesNoMoreThanItWasMadeFor() {
    BriefLink read = share(false, false);
    BriefLink check = share(true, false);
    assertThat(reader.get(check.path()).body())
        .contains("Check it against")
        .doesNotContain("Hand it in");
    assertThat(reader.post(check.path(), "text", "x", "what", "hand-in").statusCode())
        .isEqualTo(422);
    assertThat(reader.post(read.path(), "text", "x", "what", "hand-in").statusCode())
        .isEqualTo(422);
    assertThat(reader.post(read.path(), "text", "x", "what", "check").statusCode()).isEqualTo(422);
    assertThat(reader.get(read.path()).body()).doesNotContain("Hand it in", "Check it against");
    assertThat(drafts.latest(round)).isEmpty();
    SiteContext stranger = emptySite();
    assertThatThrownBy(() -> links.revoke(stranger, round, check.id(), true))
        .isInstanceOf(NotFoundException.class);
  }

  @Test
  void aFileIsCheckedAndAnUnreadableOneIsSaidToBe() {
    BriefLink link = share(true, true);
    reader.get(link.path());
    assertThat(reader.upload(link.path(), "draft.md", "# Eels\n\nFrom a file.").body())
        .contains("Draft check", "From a file.");
    HttpResponse<String> wrong = reader.upload(link.path(), "draft.docx", "no document");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("“draft.docx” is no Word document");
  }

  @Test
  void whatIsAskedForIsChecked() {
    assertThatThrownBy(() -> links.make(site, round, new BriefLinks.Wanted(" ", 3, true, true)))
        .hasMessageContaining("who it is for");
    assertThatThrownBy(() -> links.make(site, round, new BriefLinks.Wanted("I", 0, true, true)))
        .hasMessageContaining("1 to 365");
    SiteContext writer = join(site.site(), "Wyn Tor", Role.WRITER);
    assertThatThrownBy(() -> links.make(writer, round, new BriefLinks.Wanted("I", 3, true, true)))
        .isInstanceOf(RuntimeException.class);
  }
}
