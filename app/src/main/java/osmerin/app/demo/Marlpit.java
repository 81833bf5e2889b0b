package osmerin.app.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.KeptMonths;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.site.Role;

/** Marlpit: a blog about pottery with six people, two years of articles and a month in hand. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class Marlpit {
  static final String EDITOR = "Tamsin Okoro";

  private static final Map<String, Role> ROLES =
      Map.of(
          "Anselm Mura",
          Role.OWNER,
          DemoArticles.STRATEGIST,
          Role.STRATEGIST,
          EDITOR,
          Role.EDITOR,
          "Ravi Lindqvist",
          Role.WRITER,
          "Jory Pell",
          Role.WRITER,
          "Mirela Voss",
          Role.WRITER);

  private static final Map<String, String> TOPICS = DemoText.topicOfGroup("research.txt");

  private final DemoPeople people;
  private final MarlpitResearch research;
  private final MarlpitLive live;
  private final MarlpitWork work;
  private final DemoRecipes recipes;
  private final DemoStages stages;
  private final DemoGuests guests;
  private final PitchService pitches;
  private final MonthService months;
  private final KeptMonths kept;
  private final DemoMapper ageing;
  private final Clock clock;

  Marlpit(
      DemoPeople people,
      MarlpitResearch research,
      MarlpitLive live,
      MarlpitWork work,
      DemoRecipes recipes,
      DemoStages stages,
      DemoGuests guests,
      PitchService pitches,
      MonthService months,
      KeptMonths kept,
      DemoMapper ageing,
      Clock clock) {
    this.people = people;
    this.research = research;
    this.live = live;
    this.work = work;
    this.recipes = recipes;
    this.stages = stages;
    this.guests = guests;
    this.pitches = pitches;
    this.months = months;
    this.kept = kept;
    this.ageing = ageing;
    this.clock = clock;
  }

  DemoSite load(Instant loadedSince) {
    DemoSite site = people.found("Marlpit", "MP", ROLES, new Random(7), loadedSince);
    research.addKeywords(site);
    Map<Integer, LocalDate> firstLive = live.add(site);
    research.addPositions(site, firstLive);
    research.addOverlap(site);
    work.addThisMonth(site);
    work.addComingMonths(site);
    addPitches(site);
    addTargets(site);
    research.chooseLeadTopics(site);
    addRecipes(site);
    return site;
  }

  private void addRecipes(DemoSite in) {
    recipes.addType(
        in, "Kiln visit", "kiln-visit.txt", "illustrator", "second reader", "technician");
    recipes.writeHowWeEdit(in);
    recipes.addOwnSteps(in, "A firing schedule you can repeat");
    recipes.addSecondWriter(in, "A firing schedule you can repeat");
    recipes.addAbsences(in);
    recipes.addChecklist(in);
    recipes.addFollower(in, "Casting slip in a kitchen bucket", "A firing schedule you can repeat");
    recipes.hold(in, "A potter's back", "the answer of a physiotherapist");
    guests.ask(in, "A firing schedule you can repeat");
    stages.ofMarlpit(in);
  }

  static String writer(DemoSite in) {
    return in.oneOf("Ravi Lindqvist", "Jory Pell", "Mirela Voss");
  }

  static String draft(DemoSite in, String title, @Nullable String keyword) {
    String topic = keyword == null ? "Tools" : TOPICS.getOrDefault(keyword, "Tools");
    return DemoText.draft("passages.txt", title, topic, in.random());
  }

  private void addPitches(DemoSite in) {
    List<String> lines = DemoText.lines("pitches.txt");
    Instant now = clock.instant();
    for (int i = 0; i < lines.size(); i++) {
      String[] parts = lines.get(i).split("\\s*\\|\\s*");
      long id = pitches.pitch(in.as(parts[0]), parts[1]).id();
      Duration ago = Duration.ofHours(5L + (lines.size() - i) * 41L);
      ageing.agePitch(id, String.valueOf(id), now.minus(ago));
    }
  }

  private void addTargets(DemoSite in) {
    for (int i = -12; i <= 2; i++) {
      months.setTargets(
          in.as(DemoArticles.STRATEGIST),
          in.month().month().plusMonths(i),
          null,
          i < 0 ? new Targets(3, 1) : new Targets(7, 5));
    }
  }

  /** What was only loaded gets its days. */
  void age(DemoSite in) {
    ageing.ageTargets(in.loadedSince());
    ageing.ageSetup(in.loadedSince());
    ageing.ageOpenArticles(in.loadedSince());
    ageing.ageOpenRounds();
    ageing.thinNotices();
    kept.keep(in.site().id(), in.month().month());
  }
}
