package osmerin.app.demo;

import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.refresh.RefreshService;
import osmerin.app.rounds.Round;

/** What Marlpit has published, some of it refreshed since. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitLive {
  private static final int REFRESHED = 14;
  private static final Duration NEW_TOOK = Duration.ofDays(24);
  private static final Duration REFRESH_TOOK = Duration.ofDays(9);
  private static final String SINCE =
      "\n## Since the first version\n\nReaders wrote in with their own results, and two of the figures"
          + " above are theirs.\n";

  private final DemoArticles acts;
  private final RefreshService refreshing;

  MarlpitLive(DemoArticles acts, RefreshService refreshing) {
    this.acts = acts;
    this.refreshing = refreshing;
  }

  /** Adds them; the day each went live, by its number. */
  Map<Integer, LocalDate> add(DemoSite in) {
    Map<Integer, LocalDate> firstLive = new HashMap<>();
    List<String> lines = DemoText.lines("live.txt");
    List<LocalDate> thisMonth = in.month().past(4);
    List<LocalDate> refreshed = in.month().past(3);
    for (int i = 0; i < lines.size(); i++) {
      LocalDate day = day(in.month(), thisMonth, lines.size() - 1 - i);
      String writer = Marlpit.writer(in);
      Round round = publish(in, lines.get(i).split("\\s*\\|\\s*"), writer, day);
      firstLive.put(round.article().number(), day);
      // The oldest have been refreshed since, some of them this month.
      if (i < refreshed.size()) {
        refresh(in, round, writer, "rework", refreshed.get(i));
      } else if (i < REFRESHED) {
        refresh(
            in, round, writer, i % 3 == 0 ? "touch-up" : "rework", in.month().before(20 + i * 21L));
      }
    }
    return firstLive;
  }

  /** The last ones on days of this month, the others every twelve days before it. */
  private static LocalDate day(DemoMonth month, List<LocalDate> thisMonth, int fromEnd) {
    return fromEnd < thisMonth.size()
        ? thisMonth.get(thisMonth.size() - 1 - fromEnd)
        : month.before(2 + (fromEnd - thisMonth.size()) * 12L);
  }

  private Round publish(DemoSite in, String[] parts, String writer, LocalDate day) {
    Round round =
        acts.commission(
            in, new DemoArticles.Order(parts[2], parts[1], parts[0], Marlpit.EDITOR, writer), null);
    acts.write(in, round, writer, Marlpit.draft(in, parts[2], parts[0]));
    acts.stage(in, round, Marlpit.EDITOR, "Ready");
    acts.goLive(in, round, Marlpit.EDITOR, day, NEW_TOOK);
    return round;
  }

  private void refresh(DemoSite in, Round round, String writer, String depth, LocalDate day) {
    Round next =
        refreshing.begin(
            in.as(DemoArticles.STRATEGIST),
            round.article().number(),
            in.typeIds().get(depth),
            null);
    acts.write(in, next, writer, acts.text(next) + SINCE);
    acts.stage(in, next, Marlpit.EDITOR, "Ready");
    acts.goLive(in, next, Marlpit.EDITOR, day, REFRESH_TOOK);
  }
}
