package osmerin.app.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Loads the demo scenario into an empty database, through the same services that people use: the
 * blog Marlpit, its people, research, articles live and in work, pitches and targets, and a smaller
 * second site. Dates are relative to today.
 */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
public class DemoLoader implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

  private final DemoPeople people;
  private final Marlpit marlpit;
  private final MarlpitPlan plan;
  private final SprocketFen sprocketFen;
  private final Clock clock;

  DemoLoader(
      DemoPeople people, Marlpit marlpit, MarlpitPlan plan, SprocketFen sprocketFen, Clock clock) {
    this.people = people;
    this.marlpit = marlpit;
    this.plan = plan;
    this.sprocketFen = sprocketFen;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (people.areNone()) {
      Instant begun = clock.instant();
      DemoSite first = marlpit.load(begun);
      sprocketFen.load(begun);
      plan.age(first);
      people.settle();
      LOG.info("demo loaded in {} ms", Duration.between(begun, clock.instant()).toMillis());
    }
  }
}
