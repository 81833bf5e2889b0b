package osmerin.app.publishing;

import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;

/** Takes back the hour of publishing. */
@Component
class HourReversal implements RoundReversal {
  private final PublishingMapper rounds;

  HourReversal(PublishingMapper rounds) {
    this.rounds = rounds;
  }

  @Override
  public boolean knows(String field) {
    return field.equals(Publishing.HOUR);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    LocalTime back = hour(change.from());
    Long by = back == null ? null : context.personId();
    return rounds.setPublishHour(round.id(), hour(change.to()), back, by) == 1;
  }

  private static @Nullable LocalTime hour(@Nullable String value) {
    return value == null ? null : LocalTime.parse(value);
  }
}
