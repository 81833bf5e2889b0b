package osmerin.app.groups;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.group.Grouping;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Language;

/** Keyword groups as they stand, with the articles that answer them and what they are worth. */
@Service
public class GroupService {
  private final GroupMapper groups;
  private final SiteKeywords keywords;
  private final ArticleService articles;
  private final StrengthService siteStrength;

  GroupService(
      GroupMapper groups,
      SiteKeywords keywords,
      ArticleService articles,
      StrengthService siteStrength) {
    this.groups = groups;
    this.keywords = keywords;
    this.articles = articles;
    this.siteStrength = siteStrength;
  }

  /** The keywords of a group, for a brief; the language is that of the primary one. */
  public record GroupKeywords(String primary, List<String> secondary, Language language) {}

  /**
   * The primary and the other keywords of a group.
   *
   * @throws RefusedException when it has none any more
   */
  public GroupKeywords keywords(SiteContext context, long groupId) {
    Group group = group(context, groupId);
    List<Keyword> its =
        keywords.of(context.siteId(), List.of(groupId), List.of()).stream()
            .map(KnownKeyword::keyword)
            .sorted(Grouping.PRIMARY_FIRST)
            .toList();
    if (its.isEmpty()) {
      throw new RefusedException("“" + group.row().name() + "” has no keywords any more.");
    }
    List<String> texts = its.stream().map(Keyword::text).toList();
    return new GroupKeywords(texts.get(0), texts.subList(1, texts.size()), its.get(0).language());
  }

  /** The primary keywords of those of these groups that have one, by the group. */
  public Map<Long, String> primaries(SiteContext context, List<Long> groupIds) {
    Map<Long, String> primaries = new HashMap<>();
    groups
        .primaries(context.siteId(), groupIds)
        .forEach(primary -> primaries.put(primary.groupId(), primary.text()));
    return primaries;
  }

  /** The names of those of these groups that there are, by id, in the order asked. */
  public Map<Long, String> names(SiteContext context, List<Long> groupIds) {
    Map<Long, String> found = new HashMap<>();
    groups.states(context.siteId(), groupIds).forEach(state -> found.put(state.id(), state.name()));
    Map<Long, String> names = new LinkedHashMap<>();
    groupIds.stream().filter(found::containsKey).forEach(id -> names.put(id, found.get(id)));
    return names;
  }

  /** These groups, in this order. */
  public List<Group> groups(SiteContext context, List<Long> ids) {
    Map<Long, List<GroupArticle>> byGroup = articles.byGroup(context.siteId());
    SiteStrength now = siteStrength.get(context);
    Map<Long, Group> found = new HashMap<>();
    for (GroupRow row : groups.groupsById(context.siteId(), ids)) {
      found.put(row.id(), Group.of(row, byGroup.getOrDefault(row.id(), List.of()), now));
    }
    return ids.stream().map(found::get).filter(Objects::nonNull).toList();
  }

  /** A group with its articles and its worth. */
  public Group group(SiteContext context, long id) {
    return group(context, id, siteStrength.get(context));
  }

  private Group group(SiteContext context, long id, SiteStrength now) {
    GroupRow row =
        groups
            .findGroup(context.siteId(), id)
            .orElseThrow(() -> new NotFoundException("keyword group", id));
    return Group.of(row, articles.byGroup(context.siteId()).getOrDefault(id, List.of()), now);
  }

  /** Groups as they are stored, the archived ones too. */
  public List<GroupRow> rows(long siteId) {
    return groups.groups(siteId, null, true);
  }

  /** Those of these groups that there are, as they are stored. */
  public List<GroupRow> rows(SiteContext context, Collection<Long> ids) {
    return groups.groupsById(context.siteId(), List.copyOf(ids));
  }

  /** What an edit has to know of those of these groups that there are. */
  public List<GroupState> states(long siteId, Collection<Long> ids) {
    return groups.states(siteId, List.copyOf(ids));
  }

  /** The group of that name, the one of most demand when there are several. */
  public long named(SiteContext context, @Nullable String name) {
    String typed = name == null ? "" : name.strip();
    return groups.named(context.siteId(), typed).stream()
        .findFirst()
        .map(GroupState::id)
        .orElseThrow(
            () ->
                new RefusedException(
                    typed.isEmpty()
                        ? "Say which group, by its name."
                        : "There is no group “%s”. Choose one of the list.".formatted(typed)));
  }

  /** Names of groups that hold these words, the likeliest first. */
  public List<String> names(SiteContext context, String words, int limit) {
    return groups.namesLike(context.siteId(), LikePattern.of(words.strip()), limit);
  }
}
