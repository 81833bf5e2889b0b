package osmerin.app.articles;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Planning;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.RoundPlanner;
import osmerin.app.runups.Steps;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.workdays.SiteCalendars;
import osmerin.app.workdays.WorkdayService;

/**
 * The rounds of a site that are in work, with their plans. Every page asks for them and a change
 * touches few, so a plan is kept until one of the rows it comes from, a calendar or the day is
 * another.
 */
@Component
class OpenRounds {
  /** Rounds of all sites together that are kept. */
  private static final int MOST_KEPT = 20_000;

  private final ArticleMapper articles;
  private final Steps steps;
  private final Planning planning;
  private final WorkdayService workdays;
  private final Cache<Long, Known> known =
      Caffeine.newBuilder()
          .maximumWeight(MOST_KEPT)
          .weigher((Long site, Known of) -> of.rounds().size() + 1)
          .build();

  OpenRounds(ArticleMapper articles, Steps steps, Planning planning, WorkdayService workdays) {
    this.articles = articles;
    this.steps = steps;
    this.planning = planning;
    this.workdays = workdays;
  }

  /**
   * A round as it is stored.
   *
   * @param state another one whenever a row that its plan comes from was written
   */
  record State(long id, String state) {}

  private record Kept(String state, PlannedRound planned) {}

  private record Known(LocalDate today, SiteCalendars calendars, Map<Long, Kept> rounds) {
    /** The plan of a round whose rows are still the same; null when there is none. */
    @Nullable PlannedRound plan(State of) {
      Kept kept = rounds.get(of.id());
      return kept != null && kept.state().equals(of.state()) ? kept.planned() : null;
    }
  }

  /** By publish date, those without one last. */
  List<PlannedRound> of(SiteContext context) {
    if (isWriting()) {
      return plan(context.site(), articles.open(context.siteId()));
    }
    List<State> states = articles.openStates(context.siteId());
    Known before = known(context);
    List<Long> others = states.stream().filter(s -> before.plan(s) == null).map(State::id).toList();
    Map<Long, PlannedRound> planned = new HashMap<>();
    if (!others.isEmpty()) {
      RoundPlanner planner = new RoundPlanner(before.calendars(), before.today());
      plan(planner, articles.byIds(context.siteId(), others))
          .forEach(p -> planned.put(p.round().id(), p));
    }
    Map<Long, Kept> now = new HashMap<>();
    for (State state : states) {
      PlannedRound plan = planned.getOrDefault(state.id(), before.plan(state));
      if (plan != null) {
        now.put(state.id(), new Kept(state.state(), plan));
      }
    }
    known.put(context.siteId(), new Known(before.today(), before.calendars(), now));
    return states.stream()
        .map(state -> now.get(state.id()))
        .filter(Objects::nonNull)
        .map(Kept::planned)
        .toList();
  }

  /** What a transaction has written itself may be undone, and is written again under one mark. */
  private static boolean isWriting() {
    return TransactionSynchronizationManager.isActualTransactionActive()
        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
  }

  private Known known(SiteContext context) {
    SiteCalendars calendars = workdays.calendars(context.site());
    Known kept = known.getIfPresent(context.siteId());
    boolean same =
        kept != null && kept.today().equals(context.today()) && kept.calendars().equals(calendars);
    return same ? kept : new Known(context.today(), calendars, Map.of());
  }

  /** Rounds with their steps worked out for today. */
  List<PlannedRound> plan(Site site, List<Round> rounds) {
    return rounds.isEmpty() ? List.of() : plan(planning.planner(site), rounds);
  }

  private List<PlannedRound> plan(RoundPlanner planner, List<Round> rounds) {
    return planner.plan(rounds, steps.of(rounds.stream().map(Round::id).toList()));
  }
}
