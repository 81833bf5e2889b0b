package osmerin.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.briefs.BriefService;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.refresh.RefreshService;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.WordRange;

/** What Marlpit has in work: some of it set, on course, late, impossible, without a date. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitWork {
  private static final Logger LOG = LoggerFactory.getLogger(MarlpitWork.class);

  private final DemoArticles acts;
  private final RefreshService refreshing;
  private final BriefService briefs;
  private final EvidenceService evidence;

  MarlpitWork(
      DemoArticles acts, RefreshService refreshing, BriefService briefs, EvidenceService evidence) {
    this.acts = acts;
    this.refreshing = refreshing;
    this.briefs = briefs;
    this.evidence = evidence;
  }

  void addThisMonth(DemoSite in) {
    DemoMonth month = in.month();
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
    briefed(
        in,
        order("Reading a kiln's wiring diagram", "guide", "hydrometer for glaze", "Jory Pell"),
        month.in(4));
    firingSchedule(in);
    refresh(in, 20, "touch-up", "Ready", month.in(1), "review", "change", "proof");
    refresh(in, 24, "rewrite", "Editing", month.in(4), "brief", "draft", "pictures");
    halfWritten(in, order("Mould in the clay bag", "post", "storing clay", "Mirela Voss"));
    undated(
        in, order("A potter's back", "guide", "wedging wrist pain", "Ravi Lindqvist"), "Briefed");
    undated(
        in,
        order("Selling the second-best", "post", "selling seconds", "Jory Pell"),
        "Commissioned");
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

  private void briefed(DemoSite in, DemoArticles.Order order, LocalDate day) {
    Round round = acts.commission(in, order, day);
    acts.tick(in, round, Marlpit.EDITOR, "brief");
    acts.stage(in, round, Marlpit.EDITOR, "Briefed");
  }

  private void undated(DemoSite in, DemoArticles.Order order, String stage) {
    acts.stage(in, acts.commission(in, order, null), Marlpit.EDITOR, stage);
  }

  private void halfWritten(DemoSite in, DemoArticles.Order order) {
    Round round = acts.commission(in, order, null);
    String text = Marlpit.draft(in, order.title(), order.keyword());
    acts.write(in, round, order.writer(), text.substring(0, text.lastIndexOf("## ")));
    acts.stage(in, round, Marlpit.EDITOR, "Drafting");
  }

  private void refresh(
      DemoSite in, int number, String depth, String stage, LocalDate day, String... done) {
    Round round =
        refreshing.begin(in.as(DemoArticles.STRATEGIST), number, in.typeIds().get(depth), day);
    acts.tick(in, round, Marlpit.EDITOR, done);
    acts.stage(in, round, Marlpit.EDITOR, stage);
  }

  /** The article with a full brief, evidence and a draft that lacks something. */
  private void firingSchedule(DemoSite in) {
    DemoArticles.Order order =
        order("A firing schedule you can repeat", "guide", "slow cooling", "Jory Pell");
    Round round = acts.commission(in, order, in.month().in(8));
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    briefs.change(strategist, round, now -> brief(now, order.title()));
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

  private static BriefContent brief(BriefContent now, String title) {
    return now.withTitle(title)
        .withTitles(
            List.of(
                "Firing schedules: what to write down, and why",
                "Cone 6, twice the same",
                "The 14-hour firing schedule, hour by hour"))
        .withPrimary("firing schedule")
        .withSecondary(List.of("cone 6 firing schedule", "slow bisque schedule", "kiln ramp hold"))
        .withWords(Optional.of(WordRange.of(1_180, 1_620)))
        .withOutline(
            new Outline(
                List.of(
                    section("Why the bisque comes first", 0, "steam, quartz inversion", 280),
                    section("Reading the cones", 0, "heat work, witness cones", 200),
                    section("The glaze firing, hour by hour", 0, "a table of ramps and holds", 420),
                    section("What we changed", 1, "three changes, with the reason", 160),
                    section("Cooling, and when to open", 0, "hold at 950 degrees", 220),
                    section("A log that helps", 0, "", 120))))
        .withText(
            BriefPart.READER,
            "Potters with a small electric kiln who get a different shelf every time.")
        .withText(
            BriefPart.ANGLE,
            "Two kilns, one schedule: what we changed until both gave the same shelf.")
        .withText(
            BriefPart.OWN_POINTS,
            "Our log of one year: forty firings, two kilns, what the last hour did to the top shelf.")
        .withText(BriefPart.NOTES, "Ask Hanne Ostrava for a sentence on worn elements.");
  }

  private static Section section(String heading, int depth, String note, int words) {
    return new Section("", heading, depth, note, words);
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
