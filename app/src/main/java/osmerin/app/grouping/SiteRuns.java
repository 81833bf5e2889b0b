package osmerin.app.grouping;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.meaning.Meanings;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.work.Progress;
import osmerin.core.group.FullRun;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.StandingGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;

/** Tries a full run over all keywords of a site; nothing is changed by it. */
@Component
class SiteRuns {
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final ArticleService articles;
  private final Meanings meanings;

  SiteRuns(
      SiteKeywords siteKeywords,
      GroupService groupService,
      ArticleService articles,
      Meanings meanings) {
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.articles = articles;
    this.meanings = meanings;
  }

  /** What these settings would make of the keywords and groups as they are now. */
  SiteRun look(long siteId, GroupingSettings settings) {
    List<KnownKeyword> keywords =
        siteKeywords.all(siteId).stream().filter(k -> !k.waitsByHand()).toList();
    Map<Long, GroupRow> rows =
        groupService.rows(siteId).stream()
            .collect(Collectors.toMap(GroupRow::id, Function.identity()));
    List<StandingGroup> standing = standing(keywords, rows, articles.byGroup(siteId).keySet());
    Meaning meaning = meanings.watched(Progress.UNWATCHED);
    FullRun run =
        FullRun.of(
            settings, meaning, keywords.stream().map(KnownKeyword::keyword).toList(), standing);
    return new SiteRun(settings, keywords, rows, standing, meaning, run);
  }

  private static List<StandingGroup> standing(
      List<KnownKeyword> keywords, Map<Long, GroupRow> rows, Set<Long> answered) {
    Map<Long, List<KnownKeyword>> members =
        keywords.stream()
            .filter(k -> k.groupId() != null)
            .collect(Collectors.groupingBy(KnownKeyword::groupId));
    return members.entrySet().stream()
        .map(e -> standing(rows.get(e.getKey()), e.getValue(), answered))
        .toList();
  }

  /**
   * A group that somebody has put work into keeps at least its primary keyword; one that is locked
   * or archived keeps all of them.
   */
  private static StandingGroup standing(
      GroupRow group, List<KnownKeyword> members, Set<Long> answered) {
    boolean worked = group.namePinned() || group.intentPinned() || answered.contains(group.id());
    Set<String> pinned =
        members.stream()
            .filter(k -> k.byHand().pinned())
            .map(k -> k.keyword().normal())
            .collect(Collectors.toCollection(HashSet::new));
    if (worked) {
      members.stream()
          .map(KnownKeyword::keyword)
          .min(Grouping.PRIMARY_FIRST)
          .map(Keyword::normal)
          .ifPresent(pinned::add);
    }
    return new StandingGroup(
        String.valueOf(group.id()),
        members.stream().map(k -> k.keyword().normal()).collect(Collectors.toSet()),
        pinned,
        group.locked() || group.archivedAt() != null);
  }
}
