package osmerin.app.publishing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.YearMonth;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.drafts.DraftService;
import osmerin.app.plan.MonthService;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService.Outcome;
import osmerin.app.refresh.RefreshService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.support.TestBlogHost.Line;
import osmerin.core.article.Kind;

class PublishServiceTest extends ApplicationTest {
  @Autowired private ArticleService articles;
  @Autowired private DraftService drafts;
  @Autowired private PublishService publishing;
  @Autowired private RefreshService refreshing;
  @Autowired private Publishing attempts;
  @Autowired private MonthService months;
  private SiteContext site;
  private int before;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
    before = BLOG.count();
  }

  @AfterEach
  void mendTheLine() {
    BLOG.set(Line.WORKS);
  }

  @Test
  void whatIsPublishedOpensAtItsAddressAndCounts() throws Exception {
    Round round = ready("# Of eels\n\nThey travel at night.\n\n<script>alert(1)</script>");
    Outcome outcome = publishing.publish(site, round.article().number(), Wish.BY_HAND);
    assertThat(outcome).isInstanceOf(Outcome.Live.class);
    String page = page(((Outcome.Live) outcome).address());
    assertThat(page).contains("Of eels", "They travel at night.").doesNotContain("alert(1)");
    assertThat(page.split("Of eels</h1>")).hasSize(2);
    Round live = articles.get(site, round.article().number());
    assertThat(live.stage().label()).isEqualTo("Live");
    assertThat(live.article().liveSimulated()).isTrue();
    assertThat(months.month(site, YearMonth.from(site.today())).newArticles().done()).isEqualTo(1);
  }

  @Test
  void withTheHostDownTheArticleStaysReadyWithTheReason() {
    Round round = ready("# Text\n\nWords.");
    BLOG.set(Line.DOWN);
    assertThat(publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(Outcome.Failed.class);
    Round still = articles.get(site, round.article().number());
    assertThat(still.stage().label()).isEqualTo("Ready");
    assertThat(still.publication().failure()).contains("does not answer");
    BLOG.set(Line.WORKS);
    assertThat(publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(Outcome.Live.class);
    assertThat(articles.get(site, round.article().number()).publication().failure()).isNull();
    assertThat(BLOG.count() - before).isEqualTo(1);
  }

  @Test
  void aLineThatBreaksBeforeTheAnswerNeverLeadsToASecondArticle() {
    Round round = ready("# Text\n\nWords.");
    BLOG.set(Line.BREAKS_BEFORE_THE_ANSWER);
    assertThat(publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(Outcome.Failed.class);
    assertThat(publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(Outcome.Failed.class);
    assertThat(BLOG.count() - before).isEqualTo(1);
    BLOG.set(Line.WORKS);
    assertThat(publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(Outcome.Live.class);
    assertThat(BLOG.count() - before).isEqualTo(1);
  }

  @Test
  void whatIsNotReadyOrHasNoDraftIsRefused() {
    Round empty = commission();
    assertThatThrownBy(() -> publishing.publish(site, empty.article().number(), Wish.BY_HAND))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("no draft");
    Round early = commission();
    drafts.save(site, early, "Words.", 0);
    assertThatThrownBy(() -> publishing.publish(site, early.article().number(), Wish.BY_HAND))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("is at Commissioned. Move it to Ready first.");
    Round twice = ready("Words.");
    publishing.publish(site, twice.article().number(), Wish.BY_HAND);
    assertThatThrownBy(() -> publishing.publish(site, twice.article().number(), Wish.BY_HAND))
        .hasMessageContaining("live already");
  }

  @Test
  void aDraftThatIsPartlyShownAsTypedIsNotPublishedSo() {
    Round round =
        ready("|a".repeat(2_500) + "|\n" + "|-".repeat(2_500) + "|\n" + "b\n".repeat(1_000));
    assertThatThrownBy(() -> publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .hasMessageContaining("more than 50,000 cells");
  }

  @Test
  void aRefreshUpdatesTheSameAddressAndBothRoundsStayReadable() throws Exception {
    Round first = ready("# Of eels\n\nFirst words.");
    Outcome.Live live =
        (Outcome.Live) publishing.publish(site, first.article().number(), Wish.BY_HAND);
    assertThatThrownBy(() -> refreshing.begin(site, commission().article().number(), depth(), null))
        .isInstanceOf(RefusedException.class);
    Round second =
        refreshing.begin(site, first.article().number(), depth(), site.today().plusWeeks(3));
    assertThat(second.kind()).isEqualTo(Kind.REFRESH);
    assertThat(drafts.latest(second).orElseThrow().text()).contains("First words.");
    drafts.save(site, second, "# Of eels\n\nSecond words.", 1);
    toReady(second);
    Outcome.Live again =
        (Outcome.Live) publishing.publish(site, second.article().number(), Wish.BY_HAND);
    assertThat(again.address()).isEqualTo(live.address());
    assertThat(page(live.address())).contains("Second words.").doesNotContain("First words.");
    assertThat(BLOG.count() - before).isEqualTo(1);
    Round readable = articles.get(site, first.article().number(), 1);
    assertThat(drafts.latest(readable).orElseThrow().text()).contains("First words.");
    assertThat(months.month(site, YearMonth.from(site.today())).refreshes().done()).isEqualTo(1);
    assertThat(months.month(site, YearMonth.from(site.today())).newArticles().done()).isEqualTo(1);
  }

  @Test
  void aPageThatOsmerinNeverHadTheTextOfIsReplacedOnlyOnceSomebodySaysSo() throws Exception {
    Outcome.Live first =
        (Outcome.Live)
            publishing.publish(site, ready("# A\n\nOld.").article().number(), Wish.BY_HAND);
    Round round = refreshOfUnknown(first.address());
    assertThatThrownBy(() -> publishing.publish(site, round.article().number(), Wish.BY_HAND))
        .isInstanceOf(AskException.class)
        .hasMessageContaining("never had the text");
    assertThat(page(first.address())).contains("Old.");
    assertThat(publishing.publish(site, round.article().number(), Wish.byHand(true, null, false)))
        .isInstanceOf(Outcome.Live.class);
    assertThat(page(first.address())).contains("They migrate.").doesNotContain("Old.");
    Round before = articles.get(site, round.article().number(), 1);
    assertThat(drafts.latest(before).orElseThrow().text()).contains("Old.");
  }

  @Test
  void aPageOutsideTheConnectedHostIsNotPublished() {
    Round round = refreshOfUnknown("https://elsewhere.example/eels");
    assertThatThrownBy(
            () ->
                publishing.publish(site, round.article().number(), Wish.byHand(true, null, false)))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("https://elsewhere.example/eels")
        .hasMessageContaining("outside the connected blog host");
    assertThat(articles.get(site, round.article().number()).publication().attemptedAt()).isNull();
  }

  /** An article that was published elsewhere, without a draft, with a refresh that is Ready. */
  private Round refreshOfUnknown(String address) {
    Round round = commission();
    toReady(round);
    attempts.wasPublishedElsewhere(site, round.article().number(), address, site.today());
    Round refresh = refreshing.begin(site, round.article().number(), depth(), null);
    drafts.save(site, refresh, "# Eels\n\nThey migrate.", 0);
    toReady(refresh);
    return articles.get(site, round.article().number());
  }

  private Round commission() {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    return articles.commission(site, new Commission("Eels", type, null, Map.of(), null));
  }

  private Round ready(String text) {
    Round round = commission();
    drafts.save(site, round, text, 0);
    toReady(round);
    return articles.get(site, round.article().number());
  }

  private void toReady(Round round) {
    moveUntilSet(site, round.article().number());
  }

  private long depth() {
    return types.list(site.siteId(), Kind.REFRESH).get(0).id();
  }

  private static String page(String address) throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(address)).build();
    return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString()).body();
  }
}
