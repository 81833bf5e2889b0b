package osmerin.app.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
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
  private final MarlpitPlan plan;
  private final MarlpitWays ways;

  Marlpit(
      DemoPeople people,
      MarlpitResearch research,
      MarlpitLive live,
      MarlpitWork work,
      MarlpitPlan plan,
      MarlpitWays ways) {
    this.people = people;
    this.research = research;
    this.live = live;
    this.work = work;
    this.plan = plan;
    this.ways = ways;
  }

  DemoSite load(Instant loadedSince) {
    DemoSite site = people.found("Marlpit", "MP", ROLES, new Random(7), loadedSince);
    research.addKeywords(site);
    Map<Integer, LocalDate> firstLive = live.add(site);
    research.addPositions(site, firstLive);
    research.addOverlap(site);
    work.addThisMonth(site);
    work.addComingMonths(site);
    plan.addPitches(site);
    plan.addTargets(site);
    research.chooseLeadTopics(site);
    ways.add(site);
    return site;
  }

  static String writer(DemoSite in) {
    return in.oneOf("Ravi Lindqvist", "Jory Pell", "Mirela Voss");
  }

  static String draft(DemoSite in, String title, @Nullable String keyword) {
    String topic = keyword == null ? "Tools" : TOPICS.getOrDefault(keyword, "Tools");
    return DemoText.draft("passages.txt", title, topic, in.random());
  }
}
