package osmerin.app.grouping;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.groups.GroupRow;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.GroupingChoice;
import osmerin.app.history.History;
import osmerin.app.meaning.Meanings;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.SiteKeywords;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.group.FullRun;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.StandingGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Counted;

/**
 * Regroups all keywords of a site, with these or other settings, and shows what would move before
 * anything does. What is shown and what is done come from the same call.
 */
@Service
public class FullRunService {
  private final SiteKeywords siteKeywords;
  private final GroupService groupService;
  private final HandEdits handEdits;
  private final GroupingChoice choice;
  private final GroupStore store;
  private final ArticleService articles;
  private final History history;
  private final Meanings meanings;
  private final ApplicationEventPublisher events;

  /** The pages of one preview come from one run. */
  private final Cache<Asked, RunPreview> previews =
      Caffeine.newBuilder().maximumSize(8).expireAfterAccess(Duration.ofMinutes(10)).build();

  FullRunService(
      SiteKeywords siteKeywords,
      GroupService groupService,
      HandEdits handEdits,
      GroupingChoice choice,
      GroupStore store,
      ArticleService articles,
      History history,
      Meanings meanings,
      ApplicationEventPublisher events) {
    this.meanings = meanings;
    this.events = events;
    this.siteKeywords = siteKeywords;
    this.groupService = groupService;
    this.handEdits = handEdits;
    this.choice = choice;
    this.store = store;
    this.articles = articles;
    this.history = history;
  }

  /** What was asked for, and of which state of the site. */
  private record Asked(long siteId, GroupingSettings settings, String state) {}

  /** How the site groups. */
  public GroupingSettings settings(SiteContext context) {
    return choice.settings(context.siteId());
  }

  /** What a full run with these settings would do. */
  @Transactional(readOnly = true)
  public RunPreview preview(SiteContext context, int minShared, Mode mode, int near) {
    context.require(Right.IMPORT);
    return previews.get(
        new Asked(context.siteId(), settings(minShared, mode, near), history.state(context)),
        asked -> new Run(context, asked.settings()).preview());
  }

  /**
   * Regroups all keywords and keeps the settings.
   *
   * @param seal of the preview that the person saw
   * @throws RefusedException when it would no longer do what was shown
   */
  @Transactional
  public void apply(SiteContext context, int minShared, Mode mode, int near, String seal) {
    handEdits.begin(context);
    Run run = new Run(context, settings(minShared, mode, near));
    if (!run.seal().equals(seal)) {
      throw new RefusedException(
          "The keywords have changed since, and other ones would move now. Look again.");
    }
    choice.choose(context.siteId(), run.settings);
    run.apply();
    events.publishEvent(new GroupsChanged(context));
  }

  /** Uses these settings for what is imported from now on, without moving anything. */
  @Transactional
  public void choose(SiteContext context, int minShared, Mode mode, int near) {
    context.require(Right.IMPORT);
    choice.choose(context.siteId(), settings(minShared, mode, near));
  }

  private static GroupingSettings settings(int minShared, Mode mode, int near) {
    int depth = GroupingSettings.DEFAULT.depth();
    if (minShared < 1 || minShared > depth) {
      throw new RefusedException("Two keywords share at least 1 and at most " + depth + " pages.");
    }
    if (!GroupingSettings.isNear(near)) {
      throw new RefusedException(
          "Choose a nearness from "
              + GroupingSettings.NEAREST_APART
              + " to "
              + GroupingSettings.MOST_APART
              + ".");
    }
    return new GroupingSettings(minShared, depth, mode, near);
  }

  /** One look at all keywords and groups of a site. */
  private final class Run {
    private final SiteContext context;
    private final GroupingSettings settings;
    private final List<KnownKeyword> keywords;
    private final Map<Long, GroupRow> rows = new HashMap<>();
    private final List<StandingGroup> standing;
    private final @Nullable Meaning meaning = meanings.watched(Progress.UNWATCHED);
    private final FullRun run;

    Run(SiteContext context, GroupingSettings settings) {
      this.context = context;
      this.settings = settings;
      keywords = siteKeywords.all(context.siteId()).stream().filter(k -> !k.waitsByHand()).toList();
      groupService.rows(context.siteId()).forEach(g -> rows.put(g.id(), g));
      standing = standing();
      run =
          FullRun.of(
              settings, meaning, keywords.stream().map(KnownKeyword::keyword).toList(), standing);
    }

    private List<StandingGroup> standing() {
      Set<Long> answered = articles.byGroup(context.siteId()).keySet();
      Map<Long, List<KnownKeyword>> members =
          keywords.stream()
              .filter(k -> k.groupId() != null)
              .collect(Collectors.groupingBy(KnownKeyword::groupId));
      return members.entrySet().stream()
          .map(e -> standing(rows.get(e.getKey()), e.getValue(), answered))
          .toList();
    }

    /**
     * A group that somebody has put work into keeps at least its primary keyword; one that is
     * locked or archived keeps all of them.
     */
    private StandingGroup standing(GroupRow group, List<KnownKeyword> members, Set<Long> answered) {
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

    RunPreview preview() {
      List<RunPreview.Move> moves =
          run.moves().stream()
              .map(
                  m ->
                      new RunPreview.Move(
                          m.keyword().text(),
                          m.keyword().volume() == null ? null : m.keyword().volume().searches(),
                          m.from() == null ? null : rows.get(Long.valueOf(m.from())).name(),
                          name(m.to())))
              .toList();
      int fresh = (int) run.groups().stream().filter(g -> g.keptAs() == null).count();
      int pinned =
          standing.stream()
              .mapToInt(s -> s.locked() ? s.members().size() : s.pinned().size())
              .sum();
      return new RunPreview(
          settings,
          standing.size(),
          run.groups().size(),
          fresh,
          run.ended().size(),
          moves,
          pinned,
          seal());
    }

    private String name(KeywordGroup group) {
      return group.keptAs() == null
          ? group.primary().text()
          : rows.get(Long.valueOf(group.keptAs())).name();
    }

    private String seal() {
      int hash =
          run.moves().stream()
              .map(m -> m.keyword().normal() + "\n" + m.from() + "\n" + m.to().primary().normal())
              .toList()
              .hashCode();
      return run.moves().size() + "-" + Integer.toHexString(hash);
    }

    void apply() {
      Map<KeywordGroup, Long> ids =
          store.storeAll(
              context.siteId(),
              run.groups(),
              meaning,
              stored -> store.storeMemberships(GroupStore.placed(keywords, stored).values()));
      Map<String, KnownKeyword> known = new HashMap<>();
      keywords.forEach(k -> known.put(k.keyword().normal(), k));
      List<PlaceRow> changing = new ArrayList<>();
      Map<Long, Place> wanted = new LinkedHashMap<>();
      for (FullRun.Move move : run.moves()) {
        KnownKeyword keyword = known.get(move.keyword().normal());
        changing.add(
            new PlaceRow(keyword.id(), keyword.keyword().text(), keyword.groupId(), false, false));
        wanted.put(keyword.id(), Place.byRun(ids.get(move.to())));
      }
      store.sayEmpty(context.siteId(), run.ended().stream().map(Long::valueOf).toList());
      note(changing, wanted);
    }

    private void note(Collection<PlaceRow> changing, Map<Long, Place> wanted) {
      if (!changing.isEmpty()) {
        long edit = handEdits.keep(context, changing, wanted);
        history.note(
            context,
            Right.IMPORT,
            "All keywords were regrouped: %s moved."
                .formatted(Counted.of(changing.size(), "keyword")),
            HandEdits.kept(edit));
      }
    }
  }
}
