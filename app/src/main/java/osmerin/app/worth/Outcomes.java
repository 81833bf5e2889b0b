package osmerin.app.worth;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.OutcomeMapper.Candidate;
import osmerin.app.worth.OutcomeMapper.JudgedGroup;
import osmerin.app.worth.OutcomeMapper.RankingRow;
import osmerin.core.inventory.GroupBasis;
import osmerin.core.keyword.PageAddress;
import osmerin.core.worth.FirstYear;
import osmerin.core.worth.FirstYear.Ranking;
import osmerin.core.worth.Outcome;
import osmerin.core.worth.StrengthFound;
import osmerin.core.worth.StrengthFound.Stands;

/** What became of a site's articles, and where its pages stand. */
@Component
class Outcomes {
  private final OutcomeMapper outcomes;

  Outcomes(OutcomeMapper outcomes) {
    this.outcomes = outcomes;
  }

  /** A live article with the group it is judged by. */
  private record Judged(Candidate article, PageAddress page, JudgedGroup group) {}

  /**
   * A strength with where it comes from.
   *
   * @param fromFiles whether files name the site's own positions; else its live articles tell
   */
  record Proposal(StrengthFound found, boolean fromFiles) {}

  /** Of articles of which it is known whether they reached page one. */
  List<Outcome> of(SiteContext context) {
    List<Judged> judged =
        judged(context).stream()
            .filter(j -> !j.article().liveOn().plus(FirstYear.SETTLED).isAfter(context.today()))
            .toList();
    Map<Long, List<RankingRow>> rankings = rankings(context, judged);
    List<Outcome> known = new ArrayList<>();
    for (Judged article : judged) {
      List<Ranking> its =
          rankings.getOrDefault(article.group().keywordId(), List.of()).stream()
              .flatMap(row -> ranking(context, row, article.page()).stream())
              .toList();
      FirstYear.reached(article.article().liveOn(), its)
          .ifPresent(
              reached ->
                  known.add(
                      new Outcome(
                          article.article().number(), article.group().difficulty(), reached)));
    }
    return known;
  }

  private List<Judged> judged(SiteContext context) {
    Map<Candidate, Long> groupOf = new LinkedHashMap<>();
    for (Candidate c : outcomes.candidates(context.siteId())) {
      GroupBasis.judgedBy(c.basis(), c.groupId(), c.byTitle(), c.refused())
          .ifPresent(group -> groupOf.put(c, group));
    }
    Map<Long, JudgedGroup> groups =
        outcomes.groups(context.siteId(), groupOf.values().stream().distinct().toList()).stream()
            .collect(Collectors.toMap(JudgedGroup::id, group -> group));
    List<Judged> judged = new ArrayList<>();
    groupOf.forEach(
        (article, id) -> {
          JudgedGroup group = groups.get(id);
          if (group != null) {
            PageAddress.of(article.address())
                .ifPresent(page -> judged.add(new Judged(article, page, group)));
          }
        });
    return judged;
  }

  private Map<Long, List<RankingRow>> rankings(SiteContext context, List<Judged> judged) {
    List<Long> keywords =
        judged.stream().map(j -> j.group().keywordId()).distinct().sorted().toList();
    return outcomes.rankings(context.siteId(), keywords).stream()
        .collect(Collectors.groupingBy(RankingRow::keywordId));
  }

  private static Optional<Ranking> ranking(
      SiteContext context, RankingRow row, PageAddress article) {
    LocalDate on = row.at().atZone(context.site().zoneId()).toLocalDate();
    Optional<Ranking> told =
        row.told()
            ? Ranking.told(
                on,
                article,
                row.position(),
                row.page() == null ? null : new PageAddress(row.page()))
            : Optional.empty();
    return told.isPresent() || !row.withPages()
        ? told
        : Optional.of(among(on, article, row.pages()));
  }

  private static Ranking among(LocalDate on, PageAddress article, List<String> pages) {
    return Ranking.among(on, article, pages.stream().map(PageAddress::new).toList());
  }

  /** The strength that the site's own positions tell, those in files before all others. */
  Optional<Proposal> proposal(SiteContext context) {
    Optional<StrengthFound> fromFiles = StrengthFound.of(outcomes.ownPositions(context.siteId()));
    return fromFiles.isPresent()
        ? fromFiles.map(found -> new Proposal(found, true))
        : StrengthFound.of(standing(context)).map(found -> new Proposal(found, false));
  }

  /** Where live articles stand for the primary keyword of the group they are judged by. */
  private List<Stands> standing(SiteContext context) {
    List<Stands> stands = new ArrayList<>();
    for (Judged article : judged(context)) {
      if (!article.group().pages().isEmpty()) {
        Ranking now = among(context.today(), article.page(), article.group().pages());
        stands.add(new Stands(article.group().difficulty(), now.position()));
      }
    }
    return stands;
  }
}
