package osmerin.app.support;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.PublishDates;
import osmerin.app.articles.StageMoves;
import osmerin.app.people.PeopleEdits;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.standins.MailStandIn;
import osmerin.standins.SearchStandIn;

/**
 * A test against the whole application on a real PostgreSQL, with the stand-ins over HTTP. All such
 * tests share one application; each makes a site of its own.
 */
@SpringBootTest(
    webEnvironment = WebEnvironment.RANDOM_PORT,
    properties = {
      "osmerin.components=true",
      // In a cluster Spring would believe what anybody forwards.
      "spring.main.cloud-platform=kubernetes"
    })
public abstract class ApplicationTest {
  protected static final String PASSWORD = "a-long-password";
  protected static final TestBlogHost BLOG = new TestBlogHost();
  private static final String DATABASE = TestDatabase.empty("osmerin_tests");
  protected static final MailStandIn MAIL = mail();
  private static final SearchStandIn SEARCH = startSearch();
  private static final AtomicInteger COUNT = new AtomicInteger();

  @Autowired protected TeamService team;
  @Autowired protected SiteService sites;
  @Autowired protected ArticleTypeService types;
  @Autowired protected ArticleEdits edits;
  @Autowired protected PeopleEdits naming;
  @Autowired protected PublishDates publishDates;
  @Autowired protected StageMoves stageMoves;
  @Autowired protected StageList stageList;
  @LocalServerPort protected int port;

  /** The search service that the application asks. */
  protected static SearchStandIn search() {
    return SEARCH;
  }

  private static SearchStandIn startSearch() {
    try {
      return new SearchStandIn(0);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static MailStandIn mail() {
    try {
      Path folder = Path.of("target", "test-mail-" + System.nanoTime());
      return new MailStandIn(0, 0, folder, Clock.systemUTC());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @DynamicPropertySource
  static void connect(DynamicPropertyRegistry registry) {
    registry.add("spring.datasource.url", () -> DATABASE);
    registry.add("spring.datasource.username", TestDatabase::user);
    registry.add("spring.datasource.password", TestDatabase::password);
    // Hundreds of people are made and signed in; what a guess costs is not what is tested.
    registry.add("osmerin.password-rounds", () -> 4);
    registry.add("osmerin.mail.host", () -> "127.0.0.1");
    registry.add("osmerin.mail.port", MAIL::smtpPort);
    registry.add("osmerin.publish-every", () -> "500ms");
    registry.add("db-scheduler.polling-interval", () -> "300ms");
    // Many tests commission a group and need no evidence of it.
    registry.add("osmerin.evidence.ahead", () -> "false");
    registry.add("osmerin.search.address", () -> SEARCH.address().toString());
    registry.add("osmerin.blog-host.micropub", BLOG::micropub);
    registry.add("osmerin.blog-host.token", () -> TestBlogHost.TOKEN);
  }

  /** An empty site with one person, its owner. */
  protected SiteContext emptySite() {
    int number = COUNT.incrementAndGet();
    Site site =
        sites.add("Site " + number, "site.example", "T" + number, "UTC", List.of(1, 2, 3, 4, 5));
    types.shipTo(site.id());
    return join(site, "Una Berg", Role.OWNER);
  }

  /** Id of the site's stage with the name. */
  protected long stage(SiteContext site, String name) {
    return stageList.of(site.siteId()).list().stream()
        .filter(stage -> stage.label().equals(name))
        .findFirst()
        .orElseThrow()
        .id();
  }

  /** Nobody asks for briefs on the site any more when articles are moved on. */
  protected void needNoBriefs(SiteContext site) {
    types
        .list(site.siteId(), Kind.NEW)
        .forEach(type -> types.setBriefNeed(type.id(), BriefNeed.NONE));
  }

  /** Moves an article that was just commissioned through all stages until it is set. */
  protected void moveUntilSet(SiteContext site, int number) {
    Stages stages = stageList.of(site.siteId());
    Stage at = stages.at(StageAct.COMMISSIONING);
    while (!at.isSet()) {
      Stage next = stages.next(at).orElseThrow();
      stageMoves.move(site, number, next.id(), at.id(), true);
      at = next;
    }
  }

  /** Another person on the site. */
  protected SiteContext join(Site site, String name, Role role) {
    String login = name.toLowerCase().replace(' ', '.') + COUNT.incrementAndGet();
    long id = team.add(login, name, PASSWORD);
    team.join(site.id(), id, role);
    return new SiteContext(site, new SignedIn(id, login, name, "UB", ""), role, sites.today(site));
  }
}
