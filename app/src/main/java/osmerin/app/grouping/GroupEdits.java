package osmerin.app.grouping;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.GroupState;
import osmerin.app.groups.GroupingChoice;
import osmerin.app.history.History;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.group.SplitProposal;
import osmerin.core.text.Counted;

/**
 * What people do to keyword groups: move, merge, split, take out, dissolve. Every edit pins the
 * keywords it places, so that it outlives later imports and runs; each is one entry in the history
 * and can be taken back while its keywords are where it put them.
 */
@Service
public class GroupEdits {

  private final HandEditMapper edits;
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final HandEdits handEdits;
  private final GroupingChoice choice;
  private final CopyIn copy;
  private final History history;

  GroupEdits(
      HandEditMapper edits,
      SiteKeywords siteKeywords,
      GroupService groupService,
      HandEdits handEdits,
      GroupingChoice choice,
      CopyIn copy,
      History history) {
    this.edits = edits;
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.handEdits = handEdits;
    this.choice = choice;
    this.copy = copy;
    this.history = history;
  }

  /** Puts keywords into a group. */
  @Transactional
  public void move(SiteContext context, Collection<Long> keywordIds, long groupId) {
    handEdits.begin(context);
    GroupState to = group(context, groupId);
    List<PlaceRow> places = handEdits.places(context, keywordIds);
    edit(
        context,
        moved(places) + " into “" + to.name() + "”.",
        everywhere(places, Place.byHand(groupId)),
        places,
        Map.of());
  }

  /**
   * Makes a group of keywords.
   *
   * @return its id
   */
  @Transactional
  public long split(SiteContext context, Collection<Long> keywordIds) {
    handEdits.begin(context);
    List<PlaceRow> places = handEdits.places(context, keywordIds);
    long id = copy.ids("keyword_group", 1).get(0);
    Set<Long> from = HandEdits.groupsOf(places);
    Map<Long, Place> wanted = everywhere(places, Place.byHand(id));
    // Both sides are pinned: what a person put apart no run joins again.
    List<PlaceRow> all = new ArrayList<>(places);
    for (PlaceRow rest : edits.placesIn(context.siteId(), List.copyOf(from))) {
      if (!wanted.containsKey(rest.keywordId())) {
        wanted.put(rest.keywordId(), Place.byHand(rest.groupId()));
        all.add(rest);
      }
    }
    Map<Long, @Nullable Long> topic = new HashMap<>();
    topic.put(
        id,
        groupService.states(context.siteId(), List.copyOf(from)).stream()
            .map(GroupState::topicId)
            .filter(t -> t != null)
            .findFirst()
            .orElse(null));
    edit(context, moved(places) + " into a group of their own.", wanted, all, topic);
    return id;
  }

  /**
   * Splits a group as proposed; its primary keyword's part keeps its name and articles.
   *
   * @param seen the number of parts that the person was shown
   */
  @Transactional
  public void splitAsProposed(SiteContext context, long groupId, int seen) {
    handEdits.begin(context);
    GroupState group = group(context, groupId);
    List<KnownKeyword> keywords = keywords(context, groupId);
    SplitProposal proposal = proposal(context, keywords);
    if (proposal.parts().size() != seen) {
      throw new RefusedException(
          "The group has changed since: it would now split into %s."
              .formatted(Counted.of(proposal.parts().size(), "part")));
    }
    List<PlaceRow> places = edits.placesIn(context.siteId(), List.of(groupId));
    Map<String, Long> ids = new HashMap<>();
    keywords.forEach(k -> ids.put(k.keyword().normal(), k.id()));
    Iterator<Long> others = copy.ids("keyword_group", seen - 1).iterator();
    Map<Long, Place> wanted = new LinkedHashMap<>();
    Map<Long, @Nullable Long> topics = new HashMap<>();
    for (int i = 0; i < proposal.parts().size(); i++) {
      long into = i == 0 ? groupId : others.next();
      topics.put(into, group.topicId());
      proposal
          .parts()
          .get(i)
          .members()
          .forEach(m -> wanted.put(ids.get(m.keyword().normal()), Place.byHand(into)));
    }
    String sentence = "“%s” was split into %s.".formatted(group.name(), Counted.of(seen, "group"));
    edit(context, sentence, wanted, places, topics);
  }

  /** How a group would split. */
  public SplitProposal proposal(SiteContext context, long groupId) {
    return proposal(context, keywords(context, groupId));
  }

  private SplitProposal proposal(SiteContext context, List<KnownKeyword> keywords) {
    return SplitProposal.of(
        keywords.stream().map(KnownKeyword::keyword).toList(), choice.settings(context.siteId()));
  }

  private List<KnownKeyword> keywords(SiteContext context, long groupId) {
    return siteKeywords.of(context.siteId(), List.of(groupId), List.of());
  }

  /** Takes keywords out of their groups; they wait until somebody places them. */
  @Transactional
  public void takeOut(SiteContext context, Collection<Long> keywordIds) {
    handEdits.begin(context);
    List<PlaceRow> places = handEdits.places(context, keywordIds);
    edit(
        context,
        Counted.of(places.size(), "keyword")
            + (places.size() == 1 ? " removed from its group." : " removed from their groups."),
        everywhere(places, Place.byHand(null)),
        places,
        Map.of());
  }

  /** Joins groups into one of them. */
  @Transactional
  public void merge(SiteContext context, Collection<Long> groupIds, long into) {
    handEdits.begin(context);
    GroupState to = group(context, into);
    Set<Long> all = new TreeSet<>(groupIds);
    all.add(into);
    if (all.size() < 2) {
      throw new RefusedException("It takes two groups to merge.");
    }
    List<GroupState> groups = groups(context, all);
    List<PlaceRow> places = edits.placesIn(context.siteId(), List.copyOf(all));
    String others =
        groups.stream()
            .filter(g -> g.id() != into)
            .map(g -> "“" + g.name() + "”")
            .limit(3)
            .collect(Collectors.joining(", "));
    int more = all.size() - 1 - 3;
    edit(
        context,
        "%s merged into “%s”."
            .formatted(others + (more > 0 ? " and " + more + " more" : ""), to.name()),
        everywhere(places, Place.byHand(into)),
        places,
        Map.of());
  }

  /** Ends groups; their keywords wait until somebody places them. */
  @Transactional
  public void dissolve(SiteContext context, Collection<Long> groupIds) {
    handEdits.begin(context);
    List<GroupState> groups = groups(context, new TreeSet<>(groupIds));
    List<PlaceRow> places =
        edits.placesIn(context.siteId(), groups.stream().map(GroupState::id).toList());
    String what =
        groups.size() == 1 ? "“" + groups.get(0).name() + "”" : Counted.of(groups.size(), "group");
    edit(
        context,
        what + " dissolved; " + Counted.of(places.size(), "keyword") + " to be grouped.",
        everywhere(places, Place.byHand(null)),
        places,
        Map.of());
  }

  private GroupState group(SiteContext context, long id) {
    return groups(context, Set.of(id)).get(0);
  }

  private List<GroupState> groups(SiteContext context, Set<Long> ids) {
    if (ids.isEmpty()) {
      throw new RefusedException("Mark the groups first, with Space or the box before each.");
    }
    List<GroupState> groups = groupService.states(context.siteId(), List.copyOf(ids));
    if (groups.size() < ids.size()) {
      throw new NotFoundException("keyword group", ids.toString());
    }
    groups.stream()
        .filter(g -> g.keywords() == 0)
        .findFirst()
        .ifPresent(
            g -> {
              throw new RefusedException("“" + g.name() + "” has no keywords any more.");
            });
    return groups;
  }

  private static Map<Long, Place> everywhere(Collection<PlaceRow> places, Place to) {
    Map<Long, Place> wanted = new LinkedHashMap<>();
    places.forEach(p -> wanted.put(p.keywordId(), to));
    return wanted;
  }

  private static String moved(List<PlaceRow> places) {
    return places.size() == 1
        ? "“" + places.get(0).text() + "” moved"
        : Counted.of(places.size(), "keyword") + " moved";
  }

  private void edit(
      SiteContext context,
      String sentence,
      Map<Long, Place> wanted,
      Collection<PlaceRow> places,
      Map<Long, @Nullable Long> topicOfNew) {
    if (places.stream().allMatch(p -> p.place().sameAs(wanted.get(p.keywordId())))) {
      throw new RefusedException("They are there already; nothing was changed.");
    }
    history.note(
        context, Right.IMPORT, sentence, handEdits.carryOut(context, wanted, places, topicOfNew));
  }
}
