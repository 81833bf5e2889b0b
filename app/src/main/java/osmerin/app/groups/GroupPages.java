package osmerin.app.groups;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.Paging;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.research.SiteNearness;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.SiteStrength;
import osmerin.app.worth.StrengthService;
import osmerin.core.group.Cohesion;
import osmerin.core.group.Cohesion.Doubt;
import osmerin.core.group.Cohesion.Fit;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.SharedEvidence;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Phrase;
import osmerin.core.worth.SiteReach;
import osmerin.core.worth.Worth;

/** A group page by page: its keywords, why they are together, what it would be worth. */
@Service
public class GroupPages {
  private static final int MEMBERS_SHOWN = 200;
  private static final int BESIDE_SHOWN = 14;

  private final GroupMapper mapper;
  private final SiteKeywords keywords;
  private final GroupService groups;
  private final StrengthService siteStrength;
  private final SiteNearness nearness;
  private final GroupingChoice choice;

  GroupPages(
      GroupMapper mapper,
      SiteKeywords keywords,
      GroupService groups,
      StrengthService siteStrength,
      SiteNearness nearness,
      GroupingChoice choice) {
    this.mapper = mapper;
    this.keywords = keywords;
    this.groups = groups;
    this.siteStrength = siteStrength;
    this.nearness = nearness;
    this.choice = choice;
  }

  /**
   * A keyword in its group.
   *
   * @param doubt why it may not belong there, null when nothing says so
   */
  public record Member(MemberRow row, @Nullable Doubt doubt) {}

  /**
   * A group with its keywords.
   *
   * @param primaryId of the primary keyword, null when the group has none
   * @param members of the page shown: the primary one first, then the doubtful ones
   * @param doubtful how many there are on all pages
   * @param tightness the part of its pages that a keyword shares with another on average, 0–1
   * @param near how near its keywords are to the primary one in meaning on average, null where
   *     meaning put none there
   * @param beside other groups of its topic by demand, the first few
   */
  public record GroupPage(
      Group group,
      @Nullable Long primaryId,
      List<Member> members,
      Paging paging,
      long doubtful,
      @Nullable Double tightness,
      @Nullable Double near,
      List<GroupRow> beside,
      SiteStrength siteStrength) {}

  /**
   * Why two keywords are together.
   *
   * @param near how near they are in meaning, about 0–1; null where pages decide for both
   * @param least how near the site asks keywords to be
   */
  public record Why(
      String first, String second, SharedEvidence shared, @Nullable Double near, double least) {}

  /**
   * What a group would be worth.
   *
   * @param strength of the site, 0–100
   * @param position taken as reached, null for the one to expect
   */
  public record WhatIf(
      Group group, SiteStrength siteStrength, int strength, @Nullable Integer position) {
    public Worth worth() {
      SiteReach site = siteStrength.at(strength);
      double hours = siteStrength.effort().hours(group.row().wordTarget());
      return position == null
          ? Worth.of(group.row().demand(), site, hours)
          : Worth.atPosition(group.row().demand(), site, hours, position);
    }
  }

  /** A group with the first of its keywords and all that is to be seen of it. */
  public GroupPage page(SiteContext context, long id) {
    return page(context, id, 1);
  }

  /**
   * The same with another page of its keywords.
   *
   * @param asked from 1
   */
  public GroupPage page(SiteContext context, long id, int asked) {
    SiteStrength now = siteStrength.get(context);
    Group group = groups.group(context, id);
    List<KnownKeyword> known = keywords.of(context.siteId(), List.of(id), List.of());
    Cohesion cohesion =
        Cohesion.of(
            known.stream().map(KnownKeyword::keyword).toList(), GroupingSettings.DEFAULT.depth());
    Map<String, Long> ids = new HashMap<>();
    known.forEach(k -> ids.put(k.keyword().normal(), k.id()));
    List<Fit> ordered = primaryFirst(cohesion.fits());
    Paging paging = new Paging(asked, MEMBERS_SHOWN, ordered.size());
    Long topic = group.row().topicId();
    return new GroupPage(
        group,
        ordered.isEmpty() ? null : ids.get(ordered.get(0).keyword().normal()),
        members(id, paging.of(ordered), ids),
        paging,
        ordered.stream().filter(fit -> fit.doubt() != null).count(),
        cohesion.tightness(),
        mapper.meanNear(id),
        topic == null ? List.of() : mapper.beside(context.siteId(), topic, id, BESIDE_SHOWN),
        now);
  }

  /** The primary keyword, then the doubtful, the weakest first, then the others by volume. */
  private static List<Fit> primaryFirst(List<Fit> fits) {
    List<Fit> ordered = new ArrayList<>(fits);
    fits.stream()
        .min(Comparator.comparing(Fit::keyword, Grouping.PRIMARY_FIRST))
        .ifPresent(
            primary -> {
              ordered.remove(primary);
              ordered.add(0, primary);
            });
    return ordered;
  }

  private List<Member> members(long groupId, List<Fit> shown, Map<String, Long> ids) {
    List<Long> wanted = shown.stream().map(fit -> ids.get(fit.keyword().normal())).toList();
    Map<Long, MemberRow> rows = new HashMap<>();
    mapper.members(groupId, wanted).forEach(row -> rows.put(row.id(), row));
    List<Member> members = new ArrayList<>();
    for (int i = 0; i < wanted.size(); i++) {
      members.add(new Member(rows.get(wanted.get(i)), shown.get(i).doubt()));
    }
    return members;
  }

  /** Why two keywords of the site are together, or could be. */
  public Why why(SiteContext context, long firstId, long secondId) {
    Map<Long, Keyword> found = new HashMap<>();
    keywords
        .of(context.siteId(), List.of(), List.of(firstId, secondId))
        .forEach(k -> found.put(k.id(), k.keyword()));
    Keyword first = found.get(firstId);
    Keyword second = found.get(secondId);
    if (first == null || second == null) {
      throw new NotFoundException("keyword", first == null ? firstId : secondId);
    }
    boolean byMeaning = Grouping.hasFewPages(first) || Grouping.hasFewPages(second);
    return new Why(
        first.text(),
        second.text(),
        SharedEvidence.of(first, second, GroupingSettings.DEFAULT.depth()),
        byMeaning ? nearness.of(context.siteId()).of(Phrase.of(first), Phrase.of(second)) : null,
        choice.settings(context.siteId()).leastNear());
  }

  /** What a group would be worth; what is out of range counts as not asked. */
  public WhatIf whatIf(
      SiteContext context, long id, @Nullable Integer strength, @Nullable Integer position) {
    SiteStrength now = siteStrength.get(context);
    boolean strong = strength != null && strength >= 0 && strength <= 100;
    boolean placed = position != null && position >= 1 && position <= 10;
    return new WhatIf(
        groups.group(context, id),
        now,
        strong ? strength : now.strength(),
        placed ? position : null);
  }
}
