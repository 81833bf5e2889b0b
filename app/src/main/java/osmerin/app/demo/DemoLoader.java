package osmerin.app.demo;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.YearMonth;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.StageMoves;
import osmerin.app.briefs.Brief;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupOrder;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.live.LiveMatching;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.KeptMonths;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.PublishService;
import osmerin.app.refresh.RefreshService;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.app.topics.TopicEdits;
import osmerin.app.topics.TopicService;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.runup.StepRole;

/**
 * Loads the demo scenario into an empty database, through the same services that people use: the
 * blog Marlpit, its people, research, articles live and in work, pitches and targets, and a smaller
 * second site. Dates are relative to today.
 */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
public class DemoLoader implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);
  private static final String PASSWORD = "throw-glaze-fire";
  private static final int LEAD_TOPICS = 2;
  private static final Duration FIRST_IMPORT = Duration.ofDays(740);
  private static final Duration LATER_IMPORT = Duration.ofDays(90);
  private static final int[] POSITIONS_DAYS_AGO = {560, 380, 200, 20};
  private static final LocalTime MORNING = LocalTime.of(9, 30);

  private final TeamService team;
  private final SiteService sites;
  private final ArticleTypeService types;
  private final ImportService imports;
  private final GroupService groups;
  private final TopicService topicPages;
  private final TopicEdits topicEdits;
  private final LiveMatching matching;
  private final ArticleService articles;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final BriefService briefs;
  private final EvidenceService evidence;
  private final DraftService drafts;
  private final PublishService publishing;
  private final RefreshService refreshing;
  private final PitchService pitches;
  private final MonthService months;
  private final KeptMonths kept;
  private final DemoMapper ageing;
  private final SecondDemoSite second;
  private final Clock clock;

  DemoLoader(
      TeamService team,
      SiteService sites,
      ArticleTypeService types,
      ImportService imports,
      GroupService groups,
      TopicService topicPages,
      TopicEdits topicEdits,
      LiveMatching matching,
      ArticleService articles,
      ArticleEdits edits,
      StageMoves stageMoves,
      BriefService briefs,
      EvidenceService evidence,
      DraftService drafts,
      PublishService publishing,
      RefreshService refreshing,
      PitchService pitches,
      MonthService months,
      KeptMonths kept,
      DemoMapper ageing,
      SecondDemoSite second,
      Clock clock) {
    this.team = team;
    this.sites = sites;
    this.types = types;
    this.imports = imports;
    this.groups = groups;
    this.topicPages = topicPages;
    this.topicEdits = topicEdits;
    this.matching = matching;
    this.articles = articles;
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.briefs = briefs;
    this.evidence = evidence;
    this.drafts = drafts;
    this.publishing = publishing;
    this.refreshing = refreshing;
    this.pitches = pitches;
    this.months = months;
    this.kept = kept;
    this.ageing = ageing;
    this.second = second;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (team.isEmpty()) {
      Instant begun = clock.instant();
      Load marlpit = new Load(begun);
      marlpit.run();
      second.load(marlpit.people, begun);
      marlpit.finish();
      ageing.analyze();
      LOG.info("demo loaded in {} ms", Duration.between(begun, clock.instant()).toMillis());
    }
  }

  /** One loading. */
  private final class Load {
    private final Random random = new Random(7);
    private final Map<String, Long> people = new HashMap<>();
    private final Map<String, Role> roles = new HashMap<>();
    private final Map<String, String> topics = DemoText.topicOfGroup("research.txt");
    private Site site;
    private DemoMonth month;
    private Map<String, Long> typeIds;
    private final Map<Integer, LocalDate> firstLive = new HashMap<>();
    private final Instant begun;

    Load(Instant begun) {
      this.begun = begun;
    }

    /** The past gets its days, and people the mail addresses that nothing was sent to until now. */
    void finish() {
      ageing.ageImports(begun, begun.minus(FIRST_IMPORT));
      ageing.ageTargets(begun);
      ageing.ageOpenArticles(begun);
      ageing.ageOpenRounds();
      ageing.thinNotices();
      kept.keep(site.id(), month.month());
      people.forEach((name, id) -> ageing.setMail(id, login(name) + "@marlpit.example"));
    }

    private static String login(String name) {
      return name.substring(0, name.indexOf(' ')).toLowerCase(Locale.ROOT);
    }

    void run() {
      addPeopleAndSite();
      imports.importFile(
          as("Odile Brandt"),
          "marlpit-keywords.csv",
          DemoResearch.csv().getBytes(StandardCharsets.UTF_8));
      addLaterImport();
      addLive();
      addPositions();
      addOverlap();
      addMonthInHand();
      addComingMonths();
      addPitches();
      addTargets();
      chooseLeadTopics();
    }

    private void addLaterImport() {
      ageing.ageImports(begun, begun.minus(FIRST_IMPORT));
      Instant later = clock.instant();
      imports.importFile(
          as("Odile Brandt"),
          "marlpit-keywords-again.csv",
          DemoResearch.laterCsv().getBytes(StandardCharsets.UTF_8));
      ageing.ageImports(later, begun.minus(LATER_IMPORT));
    }

    /** Every half year somebody exported where the articles of that day stood. */
    private void addPositions() {
      SiteContext strategist = as("Odile Brandt");
      List<Round> live = articles.live(strategist, 0, 100);
      for (int days : POSITIONS_DAYS_AGO) {
        LocalDate day = month.today().minusDays(days);
        List<DemoPositions.Standing> standing =
            live.stream()
                .filter(round -> round.article().groupId() != null)
                .filter(round -> !firstLive.get(round.article().number()).isAfter(day))
                .map(this::standing)
                .toList();
        Instant since = clock.instant();
        imports.importFile(
            strategist,
            "marlpit-positions-" + YearMonth.from(day) + ".csv",
            DemoPositions.csv(standing, days).getBytes(StandardCharsets.UTF_8));
        ageing.ageImports(since, begun.minus(Duration.ofDays(days)));
      }
    }

    private DemoPositions.Standing standing(Round round) {
      SiteContext strategist = as("Odile Brandt");
      double difficulty = groups.group(strategist, round.article().groupId()).row().difficulty();
      return new DemoPositions.Standing(
          groups.keywords(strategist, round.article().groupId()).primary(),
          difficulty,
          round.article().liveAddress());
    }

    /** Two live articles of one topic chase one group. */
    private void addOverlap() {
      SiteContext strategist = as("Odile Brandt");
      List<Group> live =
          topicPages
              .topic(
                  strategist,
                  topicPages.overview(strategist).topics().get(1).topic().id(),
                  GroupOrder.DEMAND)
              .groups()
              .stream()
              .filter(Group::isLive)
              .toList();
      matching.correct(strategist, live.get(1).articles().get(0).number(), live.get(0).row().id());
    }

    private void chooseLeadTopics() {
      SiteContext strategist = as("Odile Brandt");
      topicPages
          .overview(strategist)
          .topics()
          .subList(0, LEAD_TOPICS)
          .forEach(t -> topicEdits.focus(strategist, t.topic().id(), true));
    }

    private void addPeopleAndSite() {
      site = sites.add("Marlpit", "marlpit.example", "MP", "Europe/London", List.of(1, 2, 3, 4, 5));
      types.shipTo(site.id());
      add("Anselm Mura", Role.OWNER);
      add("Odile Brandt", Role.STRATEGIST);
      add("Tamsin Okoro", Role.EDITOR);
      add("Ravi Lindqvist", Role.WRITER);
      add("Jory Pell", Role.WRITER);
      add("Mirela Voss", Role.WRITER);
      int year = sites.today(site).getYear();
      for (int y = year - 2; y <= year + 1; y++) {
        sites.addHoliday(site, LocalDate.of(y, 1, 1), "New Year's Day");
        sites.addHoliday(site, LocalDate.of(y, 12, 25), "Christmas Day");
        sites.addHoliday(site, LocalDate.of(y, 12, 26), "Boxing Day");
      }
      month = new DemoMonth(sites.today(site), sites.calendar(site));
      typeIds = new HashMap<>();
      for (Kind kind : Kind.values()) {
        types
            .list(site.id(), kind)
            .forEach((ArticleType t) -> typeIds.put(t.name().toLowerCase(Locale.ROOT), t.id()));
      }
    }

    private void add(String name, Role role) {
      long id = team.add(login(name), name, null, PASSWORD);
      team.join(site.id(), id, role);
      people.put(name, id);
      roles.put(name, role);
    }

    private SiteContext as(String name) {
      SignedIn person = new SignedIn(people.get(name), name, name, "", "");
      return new SiteContext(site, person, roles.get(name), sites.today(site));
    }

    private String writer() {
      return List.of("Ravi Lindqvist", "Jory Pell", "Mirela Voss").get(random.nextInt(3));
    }

    private Round commission(
        String title,
        String type,
        @Nullable String keyword,
        String writer,
        @Nullable LocalDate day) {
      Long group = keyword == null ? null : ageing.findGroup(site.id(), keyword).orElse(null);
      return articles.commission(
          as("Odile Brandt"),
          new Commission(
              title,
              typeIds.get(type),
              group,
              Map.of(
                  StepRole.STRATEGIST, people.get("Odile Brandt"),
                  StepRole.EDITOR, people.get("Tamsin Okoro"),
                  StepRole.WRITER, people.get(writer)),
              day));
    }

    private void stage(Round round, Stage to) {
      for (Stage at = Stage.COMMISSIONED; at != to; at = at.next().orElseThrow()) {
        stageMoves.move(
            as("Tamsin Okoro"), round.article().number(), at.next().orElseThrow(), at, true);
      }
    }

    private void tick(Round round, String... keys) {
      for (String key : keys) {
        edits.tick(as("Tamsin Okoro"), round.article().number(), key, true);
      }
    }

    private void write(Round round, String writer, String text) {
      drafts.save(as(writer), round, text, drafts.latest(round).map(d -> d.ordinal()).orElse(0));
    }

    private String draft(String title, @Nullable String keyword) {
      String topic = keyword == null ? "Tools" : topics.getOrDefault(keyword, "Tools");
      return DemoText.draft("passages.txt", title, topic, random);
    }

    /** Publishes now and then puts it into the past; without a host it is live without a page. */
    private void goLive(Round round, LocalDate day, String started) {
      Instant at = day.atTime(MORNING).atZone(site.zoneId()).toInstant();
      Round ready = articles.get(as("Tamsin Okoro"), round.article().number());
      PublishService.Outcome outcome =
          publishing.publish(as("Tamsin Okoro"), round.article().number(), Optional.of(at), "");
      if (outcome instanceof PublishService.Outcome.Failed) {
        throw new IllegalStateException("the demo needs its simulated blog host: " + outcome);
      }
      Instant begun = at.minus(Duration.parse(started));
      ageing.ageRound(ready.id(), day, at, begun);
      ageing.ageSteps(ready.id(), day, at);
      ageing.ageMoves(ready.id(), begun, at);
      ageing.ageDrafts(ready.id(), at);
      ageing.ageHistory(site.id(), String.valueOf(round.article().number()), this.begun, begun, at);
    }

    private void addLive() {
      List<String> lines = DemoText.lines("live.txt");
      List<LocalDate> thisMonth = month.past(4);
      List<LocalDate> refreshed = month.past(3);
      LocalDate first = month.month().atDay(1);
      for (int i = 0; i < lines.size(); i++) {
        String[] parts = lines.get(i).split("\\s*\\|\\s*");
        int fromEnd = lines.size() - 1 - i;
        LocalDate day =
            fromEnd < thisMonth.size()
                ? thisMonth.get(thisMonth.size() - 1 - fromEnd)
                : month
                    .calendar()
                    .onOrBefore(first.minusDays(2 + (fromEnd - thisMonth.size()) * 12L));
        String writer = writer();
        Round round = commission(parts[2], parts[1], parts[0], writer, null);
        write(round, writer, draft(parts[2], parts[0]));
        stage(round, Stage.READY);
        goLive(round, day, "P24D");
        firstLive.put(round.article().number(), day);
        // The oldest have been refreshed since, some of them this month.
        if (i < refreshed.size()) {
          refresh(round, writer, "rework", refreshed.get(i));
        } else if (i < 14) {
          refresh(
              round,
              writer,
              i % 3 == 0 ? "touch-up" : "rework",
              month.calendar().onOrBefore(first.minusDays(20 + i * 21L)));
        }
      }
    }

    private void refresh(Round round, String writer, String depth, LocalDate day) {
      Round next =
          refreshing.begin(as("Odile Brandt"), round.article().number(), typeIds.get(depth), null);
      String text = drafts.latest(next).orElseThrow().text();
      write(
          next,
          writer,
          text
              + "\n## Since the first version\n\nReaders wrote in with their own results, and two of the figures above are theirs.\n");
      stage(next, Stage.READY);
      goLive(next, day, "P9D");
    }

    private void addMonthInHand() {
      set(
          "First cups: the wheel without fear",
          "post",
          "how long to learn pottery",
          "Mirela Voss",
          1);
      onCourse("Frost and flower pots", "post", "outdoor pots in frost", "Jory Pell", 3);
      late("Ware boards, and where pots wait", "post", "ware cart", "Ravi Lindqvist", 2);
      impossible(
          "Reading a kiln's wiring diagram", "guide", "hydrometer for glaze", "Jory Pell", 4);
      firingSchedule();
      refreshInHand(20, "touch-up", Stage.READY, 1);
      refreshInHand(24, "rewrite", Stage.EDITING, 4, "brief", "draft", "pictures");
      undated("Mould in the clay bag", "post", "storing clay", "Mirela Voss", Stage.DRAFTING);
      undated("A potter's back", "guide", "wedging wrist pain", "Ravi Lindqvist", Stage.BRIEFED);
      undated(
          "Selling the second-best", "post", "selling seconds", "Jory Pell", Stage.COMMISSIONED);
    }

    private void set(String title, String type, String keyword, String writer, int days) {
      Round round = commission(title, type, keyword, writer, month.in(days));
      write(round, writer, draft(title, keyword));
      tick(round, "brief", "draft", "pictures", "edit", "proof");
      stage(round, Stage.READY);
    }

    private void onCourse(String title, String type, String keyword, String writer, int days) {
      Round round = commission(title, type, keyword, writer, month.in(days));
      write(round, writer, draft(title, keyword));
      tick(round, "brief", "draft", "pictures", "edit");
      stage(round, Stage.EDITING);
    }

    private void late(String title, String type, String keyword, String writer, int days) {
      Round round = commission(title, type, keyword, writer, month.in(days));
      write(round, writer, draft(title, keyword));
      tick(round, "brief", "draft", "pictures");
      stage(round, Stage.DRAFTING);
    }

    private void impossible(String title, String type, String keyword, String writer, int days) {
      Round round = commission(title, type, keyword, writer, month.in(days));
      tick(round, "brief");
      stage(round, Stage.BRIEFED);
    }

    /** The article with a full brief, evidence and a draft that lacks something. */
    private void firingSchedule() {
      String title = "A firing schedule you can repeat";
      Round round = commission(title, "guide", "slow cooling", "Jory Pell", month.in(8));
      SiteContext odile = as("Odile Brandt");
      Brief fresh = briefs.get(odile, round);
      briefs.save(
          odile,
          round,
          new Brief(
              round.id(),
              title,
              "firing schedule",
              List.of("cone 6 firing schedule", "slow bisque schedule", "kiln ramp hold"),
              "Potters with a small electric kiln who get a different shelf every time.",
              "Two kilns, one schedule: what we changed until both gave the same shelf.",
              Optional.empty(),
              new Outline(
                  List.of(
                      new Section("Why the bisque comes first", 0, "steam, quartz inversion"),
                      new Section("Reading the cones", 0, "heat work, witness cones"),
                      new Section(
                          "The glaze firing, hour by hour", 0, "a table of ramps and holds"),
                      new Section("What we changed", 1, "three changes, with the reason"),
                      new Section("Cooling, and when to open", 0, "hold at 950 degrees"),
                      new Section("A log that helps", 0, ""))),
              "Ask Hanne Ostrava for a sentence on worn elements.",
              fresh.version(),
              null,
              null,
              Optional.empty()));
      try {
        evidence.fetch(odile, "firing schedule");
      } catch (RefusedException e) {
        LOG.warn("no evidence for the demo: {}", e.getMessage());
      }
      String whole = DemoText.whole("draft.md");
      write(round, "Jory Pell", whole.substring(0, whole.indexOf("## The glaze firing")));
      write(round, "Jory Pell", whole);
      tick(round, "brief", "sources");
      stage(round, Stage.DRAFTING);
    }

    private void refreshInHand(int number, String depth, Stage stage, int days, String... done) {
      Round round =
          refreshing.begin(as("Odile Brandt"), number, typeIds.get(depth), month.in(days));
      if (stage == Stage.READY) {
        tick(round, "review", "change", "proof");
      } else {
        tick(round, done);
      }
      stage(round, stage);
    }

    private void undated(String title, String type, String keyword, String writer, Stage stage) {
      Round round = commission(title, type, keyword, writer, null);
      if (stage == Stage.DRAFTING) {
        String text = draft(title, keyword);
        write(round, writer, text.substring(0, text.lastIndexOf("## ")));
      }
      stage(round, stage);
    }

    private void addComingMonths() {
      Deque<String> keywords =
          new ArrayDeque<>(
              List.of(
                  "casting slip",
                  "throwing porcelain",
                  "wax resist",
                  "used kiln",
                  "pottery bats",
                  "paper clay",
                  "potters mark",
                  "leaking vase"));
      String[] titles = {
        "Casting slip in a kitchen bucket", "Porcelain on the wheel, slowly",
            "Wax resist without regret",
        "What a used kiln tells you", "Bats and batts: what to stand on",
            "Paper clay joins what nothing joins",
        "A mark of your own", "Why a vase sweats"
      };
      for (int i = 0; i < titles.length; i++) {
        String keyword = keywords.removeFirst();
        Round round =
            commission(
                titles[i], i % 2 == 0 ? "post" : "guide", keyword, writer(), month.in(18 + i * 5));
        if (i < 4) {
          tick(round, "brief");
          stage(round, Stage.BRIEFED);
        }
      }
    }

    private void addPitches() {
      List<String> lines = DemoText.lines("pitches.txt");
      Instant now = clock.instant();
      for (int i = 0; i < lines.size(); i++) {
        String[] parts = lines.get(i).split("\\s*\\|\\s*");
        long id = pitches.pitch(as(parts[0]), parts[1]).id();
        ageing.agePitch(
            id, String.valueOf(id), now.minus(Duration.ofHours(5L + (lines.size() - i) * 41L)));
      }
    }

    private void addTargets() {
      for (int i = -12; i <= 2; i++) {
        months.setTargets(
            as("Odile Brandt"),
            month.month().plusMonths(i),
            null,
            i < 0 ? new Targets(3, 1) : new Targets(7, 5));
      }
    }
  }
}
