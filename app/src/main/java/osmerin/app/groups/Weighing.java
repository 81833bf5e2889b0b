package osmerin.app.groups;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.evidence.EvidenceService;
import osmerin.app.history.History;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.coverage.Coverage;
import osmerin.core.coverage.Covered;

/** How far each group of a site is answered, and what it would yield. */
@Component
public class Weighing {
  /** Figures of so many groups, of all sites together, are kept. */
  private static final int MOST_KEPT = 500_000;

  private final GroupMapper groups;
  private final EvidenceService evidence;
  private final History history;
  private final ArticleService articles;
  private final StrengthService siteStrength;

  private final Cache<Asked, List<GroupFigures>> figures =
      Caffeine.newBuilder()
          .maximumWeight(MOST_KEPT)
          .weigher((Asked asked, List<GroupFigures> its) -> 1 + its.size())
          .build();

  Weighing(
      GroupMapper groups,
      EvidenceService evidence,
      History history,
      ArticleService articles,
      StrengthService siteStrength) {
    this.groups = groups;
    this.evidence = evidence;
    this.history = history;
    this.articles = articles;
    this.siteStrength = siteStrength;
  }

  /** After which changes and evidence figures were read; reading them takes most of the time. */
  private record Asked(long siteId, String changes, String evidence) {}

  private List<GroupFigures> figures(SiteContext context) {
    Asked asked =
        new Asked(context.siteId(), history.state(context), evidence.state(context.siteId()));
    return figures.get(asked, key -> List.copyOf(groups.figures(context.siteId(), null)));
  }

  /** All groups that are in sight. */
  public Weighed all(SiteContext context) {
    return of(context, figures(context));
  }

  /** How much of a topic is covered. */
  public Covered topic(SiteContext context, long topicId) {
    return of(context, groups.figures(context.siteId(), topicId))
        .byTopic()
        .getOrDefault(topicId, Covered.of(List.of()));
  }

  private Weighed of(SiteContext context, List<GroupFigures> groups) {
    Map<Long, Coverage> coverage = new HashMap<>();
    articles
        .byGroup(context.siteId())
        .forEach(
            (group, its) ->
                coverage.put(group, Coverage.of(its.stream().map(GroupArticle::answer).toList())));
    return new Weighed(groups, coverage, siteStrength.get(context));
  }

  /**
   * Groups in an order.
   *
   * @param known how many, the first ones, have a known yield
   */
  public record Ranked(List<Long> ids, int known) {}

  private static <T extends Comparable<T>> Comparator<@Nullable T> highestFirst() {
    return Comparator.nullsLast(Comparator.reverseOrder());
  }

  /** Groups with their coverage. */
  public record Weighed(
      List<GroupFigures> groups, Map<Long, Coverage> answered, SiteStrength siteStrength) {
    private Coverage coverage(GroupFigures group) {
      return answered.getOrDefault(group.id(), Coverage.OPEN);
    }

    private boolean isAmong(GroupFigures group, Among among) {
      return (among.topicId() == null || among.topicId().equals(group.topicId()))
          && (among.intent() == null || among.intent() == group.intent())
          && !(among.openOnly() && coverage(group).isAnswered());
    }

    int count(Among among) {
      return (int) groups.stream().filter(group -> isAmong(group, among)).count();
    }

    /** The highest yield first; those of unknown yield come last, by searches. */
    public Ranked byYield(Among among) {
      record Yield(GroupFigures group, @Nullable Double yield) {}
      List<Yield> ordered =
          groups.stream()
              .filter(group -> isAmong(group, among))
              .map(g -> new Yield(g, siteStrength.worth(g.demand(), g.wordTarget()).yield()))
              .sorted(
                  Comparator.<Yield, @Nullable Double>comparing(Yield::yield, highestFirst())
                      .thenComparing(y -> y.group().searches(), highestFirst())
                      .thenComparing(y -> y.group().id()))
              .toList();
      return new Ranked(
          ordered.stream().map(y -> y.group().id()).toList(),
          (int) ordered.stream().filter(y -> y.yield() != null).count());
    }

    public Map<Long, Covered> byTopic() {
      return groups.stream()
          .filter(group -> group.topicId() != null)
          .collect(
              Collectors.groupingBy(
                  GroupFigures::topicId,
                  Collectors.collectingAndThen(
                      Collectors.mapping(g -> g.part(coverage(g)), Collectors.toList()),
                      Covered::of)));
    }
  }
}
