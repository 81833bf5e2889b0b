package osmerin.app.grouping;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.grouping.Rearranging.Place;
import osmerin.app.groups.GroupingChoice;
import osmerin.app.history.History;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.KnownKeyword;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.group.KeywordGroup;
import osmerin.core.text.Counted;

/**
 * Regroups all keywords of a site, with these or other settings, and shows what would move before
 * anything does. What is shown and what is done come from the same call.
 */
@Service
public class FullRunService {
  private final HandEdits handEdits;
  private final GroupingChoice choice;
  private final SiteRuns runs;
  private final GroupStore store;
  private final History history;
  private final ApplicationEventPublisher events;

  /** The pages of one preview come from one run. */
  private final Cache<Asked, RunPreview> previews =
      Caffeine.newBuilder().maximumSize(8).expireAfterAccess(Duration.ofMinutes(10)).build();

  FullRunService(
      HandEdits handEdits,
      GroupingChoice choice,
      SiteRuns runs,
      GroupStore store,
      History history,
      ApplicationEventPublisher events) {
    this.events = events;
    this.handEdits = handEdits;
    this.choice = choice;
    this.runs = runs;
    this.store = store;
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
        asked -> runs.look(context.siteId(), asked.settings()).preview());
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
    SiteRun run = runs.look(context.siteId(), settings(minShared, mode, near));
    if (!run.seal().equals(seal)) {
      throw new RefusedException(
          "The keywords have changed since, and other ones would move now. Look again.");
    }
    choice.choose(context.siteId(), run.settings());
    carryOut(context, run);
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

  private void carryOut(SiteContext context, SiteRun run) {
    Map<KeywordGroup, Long> ids =
        store.storeAll(
            context.siteId(),
            run.full().groups(),
            run.meaning(),
            stored -> store.storePlaces(GroupStore.placed(run.keywords(), stored)));
    Map<Long, Place> wanted = new LinkedHashMap<>();
    List<PlaceRow> changing = new ArrayList<>();
    for (SiteRun.Moved move : run.moved()) {
      KnownKeyword k = move.keyword();
      changing.add(new PlaceRow(k.id(), k.keyword().text(), k.groupId(), false, false));
      wanted.put(k.id(), Place.byRun(ids.get(move.to())));
    }
    store.sayEmpty(context.siteId(), run.full().ended().stream().map(Long::valueOf).toList());
    note(context, changing, wanted);
  }

  private void note(SiteContext context, List<PlaceRow> changing, Map<Long, Place> wanted) {
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
