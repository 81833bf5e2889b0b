package osmerin.app.demo;

import java.time.LocalDate;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.refresh.RefreshService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** What Marlpit has in work: some of it set, on course, late, impossible, without a date. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitWork {
  private static final Logger LOG = LoggerFactory.getLogger(MarlpitWork.class);

  private final DemoArticles acts;
  private final RefreshService refreshing;
  private final MarlpitBriefs briefs;
  private final EvidenceService evidence;

  MarlpitWork(
      DemoArticles acts,
      RefreshService refreshing,
      MarlpitBriefs briefs,
      EvidenceService evidence) {
    this.acts = acts;
    this.refreshing = refreshing;
    this.briefs = briefs;
    this.evidence = evidence;
  }

  void addThisMonth(DemoSite in) {
    DemoMonth month = in.month();
    briefs.brandSheet(in);
    written(
        in,
        order(
            "First cups: the wheel without fear",
            "post",
            "how long to learn pottery",
            "Mirela Voss"),
        month.in(1),
        "Ready",
        "brief",
        "draft",
        "pictures",
        "edit",
        "proof");
    written(
        in,
        order("Frost and flower pots", "post", "outdoor pots in frost", "Jory Pell"),
        month.in(3),
        "Editing",
        "brief",
        "draft",
        "pictures",
        "edit");
    written(
        in,
        order("Ware boards, and where pots wait", "post", "ware cart", "Ravi Lindqvist"),
        month.in(2),
        "Drafting",
        "brief",
        "draft",
        "pictures");
    wiring(
        in,
        order("Reading a kiln's wiring diagram", "guide", "hydrometer for glaze", "Jory Pell"),
        month.in(4));
    firingSchedule(in);
    Round touchUp = refresh(in, 20, "touch-up", month.in(1));
    worked(in, touchUp, "Ready", "review", "change", "proof");
    Round rewrite = refresh(in, 24, "rewrite", month.in(4));
    worked(in, rewrite, "Editing", "brief", "draft", "pictures");
    halfWritten(in, order("Mould in the clay bag", "post", "storing clay", "Mirela Voss"));
    briefs.waiting(
        in,
        undated(
            in,
            order("A potter's back", "guide", "wedging wrist pain", "Ravi Lindqvist"),
            "Briefed"));
    briefs.refused(
        in,
        undated(
            in,
            order("Selling the second-best", "post", "selling seconds", "Jory Pell"),
            "Commissioned"));
  }

  private static DemoArticles.Order order(
      String title, String type, String keyword, String writer) {
    return new DemoArticles.Order(title, type, keyword, Marlpit.EDITOR, writer);
  }

  private void written(
      DemoSite in, DemoArticles.Order order, LocalDate day, String stage, String... done) {
    Round round = acts.commission(in, order, day);
    acts.write(in, round, order.writer(), Marlpit.draft(in, order.title(), order.keyword()));
    acts.tick(in, round, Marlpit.EDITOR, done);
    acts.stage(in, round, Marlpit.EDITOR, stage);
  }

  private void wiring(DemoSite in, DemoArticles.Order order, LocalDate day) {
    Round round = acts.commission(in, order, day);
    briefs.changedSince(in, round);
  }

  private void briefed(DemoSite in, DemoArticles.Order order, LocalDate day) {
    Round round = acts.commission(in, order, day);
    acts.tick(in, round, Marlpit.EDITOR, "brief");
    acts.stage(in, round, Marlpit.EDITOR, "Briefed");
  }

  private Round undated(DemoSite in, DemoArticles.Order order, String stage) {
    Round round = acts.commission(in, order, null);
    acts.stage(in, round, Marlpit.EDITOR, stage);
    return round;
  }

  private void halfWritten(DemoSite in, DemoArticles.Order order) {
    Round round = acts.commission(in, order, null);
    String text = Marlpit.draft(in, order.title(), order.keyword());
    acts.write(in, round, order.writer(), text.substring(0, text.lastIndexOf("## ")));
    acts.stage(in, round, Marlpit.EDITOR, "Drafting");
  }

  private Round refresh(DemoSite in, int number, String depth, LocalDate day) {
    return refreshing.begin(in.as(DemoArticles.STRATEGIST), number, in.typeIds().get(depth), day);
  }

  private void worked(DemoSite in, Round round, String stage, String... done) {
    acts.tick(in, round, Marlpit.EDITOR, done);
    acts.stage(in, round, Marlpit.EDITOR, stage);
  }

  /** The article with a full brief, evidence and a draft that lacks something. */
  private void firingSchedule(DemoSite in) {
    DemoArticles.Order order =
        order("A firing schedule you can repeat", "guide", "slow cooling", "Jory Pell");
    Round round = acts.commission(in, order, in.month().in(8));
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    briefs.full(in, round, order.title());
    try {
      evidence.fetch(strategist, order.keyword());
    } catch (RefusedException e) {
      LOG.warn("no evidence for the demo: {}", e.getMessage());
    }
    String whole = DemoText.whole("draft.md");
    acts.write(in, round, order.writer(), whole.substring(0, whole.indexOf("## The glaze firing")));
    acts.write(in, round, order.writer(), whole);
    acts.tick(in, round, Marlpit.EDITOR, "brief", "sources");
    acts.stage(in, round, Marlpit.EDITOR, "Drafting");
  }

  void addComingMonths(DemoSite in) {
    List<String> lines = DemoText.lines("coming.txt");
    for (int i = 0; i < lines.size(); i++) {
      String[] parts = lines.get(i).split("\\s*\\|\\s*");
      DemoArticles.Order order = order(parts[2], parts[1], parts[0], Marlpit.writer(in));
      LocalDate day = in.month().in(18 + i * 5);
      if (i < 4) {
        briefed(in, order, day);
      } else {
        acts.commission(in, order, day);
      }
    }
  }
}
