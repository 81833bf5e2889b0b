package osmerin.app.notices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.notices.NoticeKind.MailChoice;
import osmerin.app.platform.mail.Post;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

class NoticesTest extends ApplicationTest {
  private static final Instant MORNING = Instant.parse("2031-05-06T06:30:00Z");

  @Autowired private ArticleService articles;
  @Autowired private Notices notices;
  @Autowired private NoticeMapper mapper;
  @Autowired private Post post;
  @Autowired private TransactionTemplate transaction;
  private SiteContext owner;
  private SiteContext writer;
  private String mail;

  @BeforeEach
  void anOwnerAndAWriterWithAMailAddress() {
    owner = emptySite();
    mail = "wim" + owner.siteId() + "@post.example";
    long id = team.add(mail, "Wim Asare", PASSWORD);
    team.join(owner.siteId(), id, Role.WRITER);
    writer =
        new SiteContext(owner.site(), team.signedIn(id), Role.WRITER, sites.today(owner.site()));
  }

  @Test
  void whoIsConcernedIsToldAndWhoDidItIsNot() {
    int number = article();
    stageMoves.move(owner, number, stage(owner, "Briefed"), stage(owner, "Commissioned"), true);
    publishDates.setPublishDate(owner, number, null, owner.today().plusWeeks(9), true);
    assertThat(texts(writer)).hasSize(3);
    assertThat(texts(writer).get(0)).contains("moved from no date to");
    assertThat(texts(writer).get(1)).contains("is at Briefed and waits for you");
    assertThat(texts(writer).get(2)).contains("You are the writer of");
    assertThat(notices.count(owner.personId())).isZero();
    stageMoves.move(writer, number, stage(writer, "Editing"), stage(writer, "Briefed"), true);
    assertThat(texts(owner)).singleElement().asString().contains("is at Editing and waits for you");
    assertThat(notices.countUnread(writer.personId())).isEqualTo(3);
  }

  @Test
  void whatWaitsForSomebodyIsMailedAtOnce() {
    stageMoves.move(owner, article(), stage(owner, "Briefed"), stage(owner, "Commissioned"), true);
    await().until(() -> MAIL.to(mail).size() == 1);
    assertThat(MAIL.to(mail).get(0)).contains("waits for you", owner.base() + "/articles/");
  }

  @Test
  void everyKindCanBeSilencedInTheApplicationAndByMail() {
    notices.choose(
        writer.personId(),
        List.of(
            new NoticeChoice(NoticeKind.NAMED, false, MailChoice.AT_ONCE),
            new NoticeChoice(NoticeKind.HANDED_OVER, true, MailChoice.NEVER)));
    int number = article();
    await().until(() -> MAIL.to(mail).size() == 1);
    stageMoves.move(owner, number, stage(owner, "Briefed"), stage(owner, "Commissioned"), true);
    assertThat(texts(writer)).singleElement().asString().contains("waits for you");
    dailyMail(MORNING).send();
    assertThat(MAIL.to(mail)).hasSize(1);
    assertThat(notices.choices(writer.personId()))
        .hasSize(NoticeKind.values().length)
        .contains(new NoticeChoice(NoticeKind.NAMED, false, MailChoice.AT_ONCE));
  }

  @Test
  void theDailyMailComesOnceADayInTheMorningOfTheSite() {
    article();
    article();
    dailyMail(MORNING.minusSeconds(3_600)).send();
    assertThat(waitingForMail()).isTrue();
    dailyMail(MORNING).send();
    dailyMail(MORNING.plusSeconds(600)).send();
    await().until(() -> !MAIL.to(mail).isEmpty());
    assertThat(MAIL.to(mail)).singleElement().asString().contains("2 notices", "-0001", "-0002");
    article();
    dailyMail(MORNING.plusSeconds(1_200)).send();
    assertThat(waitingForMail()).isTrue();
    dailyMail(MORNING.plusSeconds(24 * 3_600)).send();
    await().until(() -> MAIL.to(mail).size() == 2);
    assertThat(waitingForMail()).isFalse();
  }

  private boolean waitingForMail() {
    return mapper.digestReaders().stream().anyMatch(r -> r.id() == writer.personId());
  }

  @Test
  void aNoticeIsOpenedByItsOwnerOnly() {
    article();
    Notice notice = notices.of(writer.personId(), 0, 9).get(0);
    assertThatThrownBy(() -> notices.open(owner.personId(), notice.id()))
        .isInstanceOf(NotFoundException.class);
    notices.open(writer.personId(), notice.id());
    assertThat(notices.of(writer.personId(), 0, 9).get(0).isRead()).isTrue();
    article();
    notices.readAll(writer.personId());
    assertThat(notices.countUnread(writer.personId())).isZero();
  }

  @Test
  void whoIsNotOnTheSiteIsPassedOver() {
    SiteContext stranger = emptySite();
    notices.tell(
        owner, Arrays.asList(stranger.personId(), null), NoticeKind.NAMED, "Psst", owner.base());
    assertThat(notices.count(stranger.personId())).isZero();
  }

  private int article() {
    long type = types.list(owner.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people =
        Map.of(StepRole.WRITER, writer.personId(), StepRole.EDITOR, owner.personId());
    return articles
        .commission(owner, new Commission("Eels", type, null, people, null))
        .article()
        .number();
  }

  private List<String> texts(SiteContext of) {
    return notices.of(of.personId(), 0, 20).stream().map(Notice::text).toList();
  }

  /** The job in a transaction, as it runs, at a moment of ours. */
  private Sender dailyMail(Instant at) {
    DailyMail daily = new DailyMail(mapper, post, Clock.fixed(at, ZoneOffset.UTC));
    return () -> transaction.executeWithoutResult(status -> daily.send());
  }

  private interface Sender {
    void send();
  }
}
