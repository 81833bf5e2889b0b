package osmerin.app.live;

import static osmerin.app.platform.data.CopyIn.fields;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.grouping.GroupsChanged;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Kept;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.live.InventoryMapper.LiveRow;
import osmerin.app.live.InventoryMapper.MatchRow;
import osmerin.app.near.NearTexts;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.SiteNearness;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.inventory.GroupBasis;
import osmerin.core.inventory.PageMatch;
import osmerin.core.inventory.PageMatcher;
import osmerin.core.inventory.PageMatcher.Page;
import osmerin.core.keyword.PageAddress;
import osmerin.core.text.Counted;

/**
 * Which keyword groups the live articles answer: proposed by rankings and words, confirmed or
 * corrected by people; and where articles compete with each other.
 */
@Service
public class LiveMatching implements Reversal {
  private static final String GROUP = "Group";

  private final InventoryMapper inventory;
  private final GroupService groups;
  private final CopyIn copy;
  private final History history;

  private final NearTexts near;
  private final SiteNearness nearness;

  LiveMatching(
      InventoryMapper inventory,
      GroupService groups,
      CopyIn copy,
      History history,
      NearTexts near,
      SiteNearness nearness) {
    this.near = near;
    this.nearness = nearness;
    this.inventory = inventory;
    this.groups = groups;
    this.copy = copy;
    this.history = history;
  }

  /** Other rankings say something else. */
  @EventListener
  void groupsChanged(GroupsChanged event) {
    matchAll(event.context());
  }

  /** Matches all live articles with the groups there are now. What people decided stays. */
  @Transactional
  public void match(SiteContext context) {
    context.require(Right.COMMISSION);
    matchAll(context);
  }

  private void matchAll(SiteContext context) {
    inventory.lockMatches(context.siteId());
    List<Page> pages = pages(inventory.live(context.siteId()));
    if (pages.isEmpty()) {
      inventory.deleteMatches(context.siteId());
      return;
    }
    PageMatcher matcher = matcher(context, pages);
    Map<String, PageMatch> titles = matcher.titles();
    inventory.deleteMatches(context.siteId());
    store(matcher.matches(titles), titles);
  }

  /** By the article's id; an address that is none is left out. */
  private static List<Page> pages(List<LiveRow> rows) {
    List<Page> pages = new ArrayList<>();
    for (LiveRow row : rows) {
      PageAddress.of(row.address())
          .ifPresent(
              address ->
                  pages.add(new Page(String.valueOf(row.articleId()), address, row.title())));
    }
    return pages;
  }

  /** One that knows the groups by name, their keywords, and what ranks for them. */
  private PageMatcher matcher(SiteContext context, List<Page> pages) {
    long siteId = context.siteId();
    PageMatcher matcher = new PageMatcher(pages, nearness.of(siteId), nearness.language(siteId));
    List<String> addresses = pages.stream().map(page -> page.address().value()).toList();
    inventory.groups(siteId).forEach(g -> matcher.group(String.valueOf(g.id()), g.name()));
    inventory.ranked(
        siteId,
        addresses,
        result -> {
          InventoryMapper.RankedRow row = result.getResultObject();
          matcher.keyword(
              String.valueOf(row.groupId()),
              row.volume() == null ? 0 : row.volume(),
              row.pages().stream().map(PageAddress::new).toList());
        });
    inventory
        .ownRanked(siteId, addresses)
        .forEach(
            row ->
                matcher.ranks(
                    String.valueOf(row.groupId()),
                    row.volume() == null ? 0 : row.volume(),
                    new PageAddress(row.page()),
                    row.position()));
    return matcher;
  }

  private void store(Map<String, List<PageMatch>> matches, Map<String, PageMatch> titles) {
    record Matched(long article, PageMatch match) {}
    List<Matched> matched = new ArrayList<>();
    matches.forEach(
        (article, its) -> its.forEach(m -> matched.add(new Matched(Long.parseLong(article), m))));
    copy.rows(
        "live_match (article_id, group_id, basis, sure, keywords, best)",
        matched,
        m ->
            fields(
                m.article(),
                m.match().group(),
                m.match().basis(),
                m.match().sure(),
                m.match().keywords(),
                m.match().best()));
    copy.rows(
        "title_match (article_id, group_id)",
        titles.entrySet(),
        title -> fields(Long.valueOf(title.getKey()), Long.valueOf(title.getValue().group())));
  }

  /**
   * Live articles with their groups, the surest match first.
   *
   * @param openOnly only those whose group nobody has decided
   */
  public List<MatchRow> matches(SiteContext context, boolean openOnly, int offset, int limit) {
    return inventory.matches(context.siteId(), openOnly, offset, limit);
  }

  public long countMatches(SiteContext context, boolean openOnly) {
    return inventory.countMatches(context.siteId(), openOnly);
  }

  /**
   * Confirms the proposed groups of articles.
   *
   * @return how many
   */
  @Transactional
  public int confirm(SiteContext context, Collection<Integer> numbers) {
    context.require(Right.COMMISSION);
    if (numbers.isEmpty()) {
      throw new RefusedException("Mark the articles first, with Space or the box before each.");
    }
    List<Change> changes = new ArrayList<>();
    for (MatchRow row : inventory.matchesOf(context.siteId(), List.copyOf(numbers))) {
      if (row.proposedId() != null) {
        GroupBasis basis = GroupBasis.confirmed(row.basis());
        changes.addAll(decide(context, row, row.proposedId(), row.proposed(), basis));
      }
    }
    history.note(
        context,
        Right.COMMISSION,
        Counted.of(changes.size(), "article") + " matched with their groups.",
        changes);
    return changes.size();
  }

  /** Says which group an article answers, or that it answers none. */
  @Transactional
  public void correct(SiteContext context, int number, @Nullable Long groupId) {
    context.require(Right.COMMISSION);
    MatchRow row =
        inventory.matchesOf(context.siteId(), List.of(number)).stream()
            .findFirst()
            .orElseThrow(() -> new NotFoundException("live article", number));
    String name = groupId == null ? null : groups.group(context, groupId).row().name();
    GroupBasis basis = groupId == null ? null : GroupBasis.LATER;
    List<Change> changes = decide(context, row, groupId, name, basis);
    String reference = new ReferenceNumber(context.site().prefix(), number).toString();
    history.note(
        context,
        Right.COMMISSION,
        reference + (name == null ? " answers no group." : " answers “" + name + "”."),
        changes);
  }

  /** Says which group an article answers; gives what that changed, for the history. */
  private List<Change> decide(
      SiteContext context,
      MatchRow row,
      @Nullable Long groupId,
      @Nullable String name,
      @Nullable GroupBasis basis) {
    if (Objects.equals(groupId, row.groupId()) && row.decided()) {
      return List.of();
    }
    set(context, row.number(), groupId, row.groupId(), basis);
    inventory.setDecided(context.siteId(), row.number(), true);
    return List.of(
        Change.of(Thing.MATCH, row.number(), GROUP, row.groupName(), name)
            .keeping(
                new Match(row.decided(), row.groupId(), row.groupBasis()),
                new Match(true, groupId, basis)));
  }

  private void set(
      SiteContext context,
      int number,
      @Nullable Long groupId,
      @Nullable Long expected,
      @Nullable GroupBasis basis) {
    if (inventory.setGroup(context.siteId(), number, groupId, expected, basis) == 0) {
      throw new RefusedException(
          "Someone else just set the group of %s. Look again."
              .formatted(new ReferenceNumber(context.site().prefix(), number)));
    }
  }

  @Override
  public Thing thing() {
    return Thing.MATCH;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    int number = Integer.parseInt(key);
    for (Change change : changes) {
      Match from = change.from(Match.class);
      set(context, number, from.groupId(), change.to(Match.class).groupId(), from.basis());
      inventory.setDecided(context.siteId(), number, from.decided());
    }
  }

  /**
   * Which group an article answers, as history keeps it.
   *
   * @param decided whether a person said so
   * @param basis null when nothing says how it was chosen
   */
  record Match(boolean decided, @Nullable Long groupId, @Nullable GroupBasis basis)
      implements Kept {}
}
