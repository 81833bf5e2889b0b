package osmerin.app.demo;

import java.time.Duration;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.pitches.PitchService;
import osmerin.app.plan.KeptMonths;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;

/** Pitches and targets of Marlpit, and how its last months went. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class MarlpitPlan {
  private final PitchService pitches;
  private final MonthService months;
  private final KeptMonths kept;
  private final DemoMapper ageing;

  MarlpitPlan(PitchService pitches, MonthService months, KeptMonths kept, DemoMapper ageing) {
    this.pitches = pitches;
    this.months = months;
    this.kept = kept;
    this.ageing = ageing;
  }

  void addPitches(DemoSite in) {
    List<String> lines = DemoText.lines("pitches.txt");
    for (int i = 0; i < lines.size(); i++) {
      String[] parts = lines.get(i).split("\\s*\\|\\s*");
      long id = pitches.pitch(in.as(parts[0]), parts[1]).id();
      Duration ago = Duration.ofHours(5L + (lines.size() - i) * 41L);
      ageing.agePitch(id, String.valueOf(id), in.loadedSince().minus(ago));
    }
  }

  void addTargets(DemoSite in) {
    for (int i = -12; i <= 2; i++) {
      months.setTargets(
          in.as(DemoArticles.STRATEGIST),
          in.month().month().plusMonths(i),
          null,
          i < 0 ? new Targets(3, 1) : new Targets(7, 5));
    }
  }

  /** What was only loaded gets its days. */
  void age(DemoSite in) {
    ageing.ageTargets(in.loadedSince());
    ageing.ageSetup(in.loadedSince());
    ageing.ageOpenArticles(in.loadedSince());
    ageing.ageOpenRounds();
    ageing.thinNotices();
    kept.keep(in.site().id(), in.month().month());
  }
}
