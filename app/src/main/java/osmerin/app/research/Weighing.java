package osmerin.app.research;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.GroupArticle;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.coverage.Coverage;
import osmerin.core.coverage.Covered;

/** How far each group of a site is answered, and what it would yield. */
@Component
class Weighing {
  private final ResearchMapper research;
  private final ArticleService articles;
  private final StrengthService siteStrength;

  Weighing(ResearchMapper research, ArticleService articles, StrengthService siteStrength) {
    this.research = research;
    this.articles = articles;
    this.siteStrength = siteStrength;
  }

  /** All groups that are in sight. */
  Weighed all(SiteContext context) {
    return of(context, null);
  }

  /** How much of a topic is covered. */
  Covered topic(SiteContext context, long topicId) {
    return of(context, topicId).byTopic().getOrDefault(topicId, Covered.of(List.of()));
  }

  private Weighed of(SiteContext context, @Nullable Long topicId) {
    Map<Long, Coverage> coverage = new HashMap<>();
    articles
        .byGroup(context.siteId())
        .forEach(
            (group, its) ->
                coverage.put(group, Coverage.of(its.stream().map(GroupArticle::answer).toList())));
    return new Weighed(
        research.figures(context.siteId(), topicId), coverage, siteStrength.get(context));
  }

  /**
   * Groups in an order.
   *
   * @param known how many, the first ones, have a known yield
   */
  record Ranked(List<Long> ids, int known) {}

  private static <T extends Comparable<T>> Comparator<@Nullable T> highestFirst() {
    return Comparator.nullsLast(Comparator.reverseOrder());
  }

  /** Groups with their coverage. */
  record Weighed(
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
    Ranked byYield(Among among) {
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

    Map<Long, Covered> byTopic() {
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
