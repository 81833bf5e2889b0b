package osmerin.app.steps;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.runups.StepRow;
import osmerin.app.runups.Steps;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.HoursText;

/** What steps really took, said by whoever did them. */
@Service
public class RealHours implements RoundReversal {
  private static final String HOURS = "Hours: ";

  private final ArticleService articles;
  private final Steps steps;
  private final History history;

  RealHours(ArticleService articles, Steps steps, History history) {
    this.articles = articles;
    this.steps = steps;
    this.history = history;
  }

  /**
   * Says what a done step took.
   *
   * @param typed "1.5", or nothing to take it away
   */
  @Transactional
  public void set(SiteContext context, int number, String key, String typed) {
    PlannedRound planned = articles.planned(context, number);
    Round round = planned.round();
    StepRow row =
        planned.steps().stream()
            .filter(step -> step.key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("step", key));
    WorkRights.requireStep(context, round, row);
    Double hours = hours(typed);
    if (row.doneOn() == null) {
      throw new RefusedException(
          "Tick “%s” off before you say what it took.".formatted(row.name()));
    }
    if (Objects.equals(hours, row.realHours())) {
      return;
    }
    steps.setHours(round.id(), key, row.realHours(), hours);
    history.note(
        context,
        Right.WORK,
        hours == null
            ? "The hours of “%s” of %s were removed.".formatted(row.name(), round.reference())
            : "“%s” of %s took %s.".formatted(row.name(), round.reference(), words(hours)),
        Change.of(Thing.ARTICLE, number, HOURS + row.name(), words(row.realHours()), words(hours))
            .keeping(new KeptHours(key, row.realHours()), new KeptHours(key, hours)));
  }

  private static @Nullable Double hours(String typed) {
    if (typed.isBlank()) {
      return null;
    }
    double hours = HoursText.read(typed).orElseThrow(() -> new RefusedException(HoursText.HINT));
    if (hours == 0) {
      throw new RefusedException("A step takes more than 0 hours. Leave the field empty instead.");
    }
    return hours;
  }

  private static @Nullable String words(@Nullable Double hours) {
    return hours == null ? null : HoursText.of(hours) + " h";
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(HOURS);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    KeptHours to = change.to(KeptHours.class);
    KeptHours from = change.from(KeptHours.class);
    return steps.setHours(round.id(), to.key(), to.hours(), from.hours());
  }
}
