package osmerin.app.demo;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.articles.StageMoves;
import osmerin.app.drafts.DraftService;
import osmerin.app.imports.ImportService;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.publishing.PublishService;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Role;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

/** Sprocket Fen: a smaller blog, about touring by bicycle in flat country. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class SecondDemoSite {
  private static final String RUNS_IT = "Odile Brandt";
  private static final String WRITES = "Ravi Lindqvist";

  private final TeamService team;
  private final SiteService sites;
  private final ArticleTypeService types;
  private final ImportService imports;
  private final ArticleService articles;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final DraftService drafts;
  private final PublishService publishing;
  private final PitchService pitches;
  private final MonthService months;
  private final DemoMapper ageing;

  SecondDemoSite(
      TeamService team,
      SiteService sites,
      ArticleTypeService types,
      ImportService imports,
      ArticleService articles,
      ArticleEdits edits,
      StageMoves stageMoves,
      DraftService drafts,
      PublishService publishing,
      PitchService pitches,
      MonthService months,
      DemoMapper ageing) {
    this.team = team;
    this.sites = sites;
    this.types = types;
    this.imports = imports;
    this.articles = articles;
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.drafts = drafts;
    this.publishing = publishing;
    this.pitches = pitches;
    this.months = months;
    this.ageing = ageing;
  }

  /** Loads it; roles are per site, so Ravi, a writer on Marlpit, edits here. */
  void load(Map<String, Long> people, Instant loadedSince) {
    Site site =
        sites.add(
            "Sprocket Fen", "sprocketfen.example", "SF", "Europe/London", List.of(1, 2, 3, 4, 5));
    types.shipTo(site.id());
    team.join(site.id(), people.get("Anselm Mura"), Role.OWNER);
    team.join(site.id(), people.get(RUNS_IT), Role.STRATEGIST);
    team.join(site.id(), people.get(WRITES), Role.EDITOR);
    new Load(site, people, loadedSince).run();
  }

  private final class Load {
    private final Site site;
    private final Map<String, Long> people;
    private final Instant loadedSince;
    private final DemoMonth month;
    private final Random random = new Random(11);
    private final Map<String, String> topics = DemoText.topicOfGroup("fen-research.txt");
    private final Map<String, Long> typeIds = new HashMap<>();

    Load(Site site, Map<String, Long> people, Instant loadedSince) {
      this.site = site;
      this.people = people;
      this.loadedSince = loadedSince;
      this.month = new DemoMonth(sites.today(site), sites.calendar(site));
      types
          .list(site.id(), Kind.NEW)
          .forEach(t -> typeIds.put(t.name().toLowerCase(Locale.ROOT), t.id()));
    }

    void run() {
      imports.importFile(
          as(RUNS_IT, Role.STRATEGIST),
          "sprocketfen-keywords.csv",
          DemoResearch.cyclingCsv().getBytes(StandardCharsets.UTF_8));
      int weeksBack = 3;
      for (String line : DemoText.lines("fen-articles.txt")) {
        String[] parts = line.split("\\s*\\|\\s*");
        switch (parts[0]) {
          case "live" -> goLive(parts, month.today().minusWeeks(weeksBack += 3));
          case "work" -> work(parts);
          default -> pitches.pitch(as(WRITES, Role.EDITOR), parts[1]);
        }
      }
      months.setTargets(as(RUNS_IT, Role.STRATEGIST), month.month(), null, new Targets(2, 1));
    }

    private SiteContext as(String name, Role role) {
      SignedIn person = new SignedIn(people.get(name), name, name, "", "");
      return new SiteContext(site, person, role, sites.today(site));
    }

    private Round commission(String[] parts, @Nullable LocalDate day) {
      return articles.commission(
          as(RUNS_IT, Role.STRATEGIST),
          new Commission(
              parts[3],
              typeIds.get(parts[2]),
              ageing.findGroup(site.id(), parts[1]).orElse(null),
              Map.of(
                  StepRole.STRATEGIST, people.get(RUNS_IT),
                  StepRole.EDITOR, people.get(WRITES),
                  StepRole.WRITER, people.get(WRITES)),
              day));
    }

    private void goLive(String[] parts, LocalDate around) {
      LocalDate day = month.calendar().onOrBefore(around);
      Round round = commission(parts, null);
      write(round, parts);
      move(round, Stage.READY);
      Instant at = day.atTime(LocalTime.of(8, 15)).atZone(site.zoneId()).toInstant();
      Round ready = articles.get(as(WRITES, Role.EDITOR), round.article().number());
      publishing.publish(as(WRITES, Role.EDITOR), round.article().number(), Optional.of(at), "");
      Instant begun = at.minus(java.time.Duration.ofDays(17));
      ageing.ageRound(ready.id(), day, at, begun);
      ageing.ageSteps(ready.id(), day, at);
      ageing.ageMoves(ready.id(), begun, at);
      ageing.ageDrafts(ready.id(), at);
      ageing.ageHistory(
          site.id(), String.valueOf(round.article().number()), loadedSince, begun, at);
    }

    private void work(String[] parts) {
      Round round =
          commission(parts, parts.length > 4 ? month.in(Integer.parseInt(parts[4])) : null);
      write(round, parts);
      move(round, Stage.DRAFTING);
      edits.tick(as(RUNS_IT, Role.STRATEGIST), round.article().number(), "brief", true);
    }

    private void write(Round round, String[] parts) {
      String text = DemoText.draft("fen-passages.txt", parts[3], topics.get(parts[1]), random);
      drafts.save(as(WRITES, Role.EDITOR), round, text, 0);
    }

    private void move(Round round, Stage to) {
      for (Stage at = Stage.COMMISSIONED; at != to; at = at.next().orElseThrow()) {
        stageMoves.move(
            as(WRITES, Role.EDITOR), round.article().number(), at.next().orElseThrow(), at, true);
      }
    }
  }
}
