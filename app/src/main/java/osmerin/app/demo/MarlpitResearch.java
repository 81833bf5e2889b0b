package osmerin.app.demo;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupOrder;
import osmerin.app.groups.GroupService;
import osmerin.app.imports.ImportService;
import osmerin.app.live.LiveMatching;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.app.topics.TopicEdits;
import osmerin.app.topics.TopicService;

/** The research of Marlpit: two files of keywords, positions every half year, lead topics. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitResearch {
  private static final int LEAD_TOPICS = 2;
  private static final Duration FIRST_IMPORT = Duration.ofDays(740);
  private static final Duration LATER_IMPORT = Duration.ofDays(90);
  private static final int[] POSITIONS_DAYS_AGO = {560, 380, 200, 20};

  private final ImportService imports;
  private final GroupService groups;
  private final TopicService topics;
  private final TopicEdits topicEdits;
  private final LiveMatching matching;
  private final ArticleService articles;
  private final DemoMapper ageing;
  private final Clock clock;

  MarlpitResearch(
      ImportService imports,
      GroupService groups,
      TopicService topics,
      TopicEdits topicEdits,
      LiveMatching matching,
      ArticleService articles,
      DemoMapper ageing,
      Clock clock) {
    this.imports = imports;
    this.groups = groups;
    this.topics = topics;
    this.topicEdits = topicEdits;
    this.matching = matching;
    this.articles = articles;
    this.ageing = ageing;
    this.clock = clock;
  }

  void addKeywords(DemoSite in) {
    importAged(in, "marlpit-keywords.csv", DemoResearch.csv(), FIRST_IMPORT);
    importAged(in, "marlpit-keywords-again.csv", DemoResearch.laterCsv(), LATER_IMPORT);
  }

  private void importAged(DemoSite in, String file, String csv, Duration ago) {
    Instant since = clock.instant();
    imports.importFile(in.as(DemoArticles.STRATEGIST), file, csv.getBytes(StandardCharsets.UTF_8));
    ageing.ageImports(since, in.loadedSince().minus(ago));
  }

  /**
   * Every half year somebody exported where the articles of that day stood.
   *
   * @param firstLive the day each article went live, by its number
   */
  void addPositions(DemoSite in, Map<Integer, LocalDate> firstLive) {
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    List<Round> live = articles.live(strategist, 0, 100);
    for (int days : POSITIONS_DAYS_AGO) {
      LocalDate day = in.month().today().minusDays(days);
      List<DemoPositions.Standing> standing =
          live.stream()
              .filter(round -> round.article().groupId() != null)
              .filter(round -> !firstLive.get(round.article().number()).isAfter(day))
              .map(round -> standing(strategist, round))
              .toList();
      String file = "marlpit-positions-" + YearMonth.from(day) + ".csv";
      importAged(in, file, DemoPositions.csv(standing, days), Duration.ofDays(days));
    }
  }

  private DemoPositions.Standing standing(SiteContext strategist, Round round) {
    long group = round.article().groupId();
    return new DemoPositions.Standing(
        groups.keywords(strategist, group).primary(),
        groups.group(strategist, group).row().difficulty(),
        round.article().liveAddress());
  }

  /** Two live articles of one topic chase one group. */
  void addOverlap(DemoSite in) {
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    long second = topics.overview(strategist).topics().get(1).topic().id();
    List<Group> live =
        topics.topic(strategist, second, GroupOrder.DEMAND).groups().stream()
            .filter(Group::isLive)
            .toList();
    matching.correct(strategist, live.get(1).articles().get(0).number(), live.get(0).row().id());
  }

  void chooseLeadTopics(DemoSite in) {
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    topics
        .overview(strategist)
        .topics()
        .subList(0, LEAD_TOPICS)
        .forEach(t -> topicEdits.focus(strategist, t.topic().id(), true));
  }
}
