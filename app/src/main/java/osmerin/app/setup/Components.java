package osmerin.app.setup;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.ui.Model;
import osmerin.app.history.Change;
import osmerin.app.history.Entry;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.Paging;
import osmerin.app.rounds.Article;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Publication;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.core.article.Kind;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.article.Standing;
import osmerin.core.runup.BackPlan;
import osmerin.core.runup.RunUp;
import osmerin.core.workday.WorkCalendar;

/** Made-up states of everything, for the page of components. */
final class Components {
  private Components() {}

  static void addTo(Model model, LocalDate today) {
    model.addAttribute("planned", planned(today));
    model.addAttribute("paging", new Paging(2, 50, 180));
    model.addAttribute("entries", entries());
  }

  /** A round in every standing, new and refreshed. */
  private static List<PlannedRound> planned(LocalDate today) {
    WorkCalendar calendar = new WorkCalendar(Set.of(java.time.DayOfWeek.values()), Set.of());
    BackPlan plan =
        BackPlan.of(
            BackPlan.Request.of(new RunUp("none", 0, List.of()), null, today, calendar, Map.of()));
    List<PlannedRound> all = new ArrayList<>();
    for (Kind kind : Kind.values()) {
      for (Standing.State state : Standing.State.values()) {
        Standing standing = new Standing(state, 3, today.plusDays(9));
        all.add(
            new PlannedRound(
                round(all.size() + 1, kind, state, today), List.of(), plan, standing, today));
      }
    }
    return all;
  }

  private static Round round(int number, Kind kind, Standing.State state, LocalDate today) {
    boolean live = state == Standing.State.LIVE;
    Instant moment = today.atTime(9, 0).toInstant(ZoneOffset.UTC);
    String title = "An article that is " + state.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    return new Round(
        number,
        new Article(number, "EX", number, title, 1, null, null, false, null, Map.of()),
        1,
        true,
        kind,
        1,
        kind == Kind.NEW ? "Guide" : "Rework",
        1,
        live ? new Stage(6, "Live", Phase.LIVE, 5) : new Stage(3, "Drafting", Phase.IN_HAND, 2),
        today.plusDays(4),
        new Publication(null, live ? moment : null, live ? today : null, null, null, null),
        moment,
        List.of(),
        null);
  }

  private static List<Entry> entries() {
    Change date = Change.of(Thing.ARTICLE, 1, "Publish date", "Tue 1 Dec", "Thu 3 Dec");
    Change gone = Change.lasting(Thing.ARTICLE, 1, "Stage", "Ready", "Live");
    Instant at = Instant.EPOCH;
    return List.of(
        new Entry(
            3,
            null,
            null,
            at,
            "EX-0001 went live.",
            Right.EDIT,
            null,
            null,
            false,
            List.of(gone),
            List.of()),
        new Entry(
            2,
            1L,
            "Una Berg",
            at,
            "EX-0001 moved to Thu 3 Dec.",
            Right.EDIT,
            null,
            null,
            false,
            List.of(date),
            List.of()),
        new Entry(
            1,
            1L,
            "Una Berg",
            at,
            "EX-0001 moved to Tue 1 Dec.",
            Right.EDIT,
            null,
            2L,
            false,
            List.of(date),
            List.of()));
  }
}
