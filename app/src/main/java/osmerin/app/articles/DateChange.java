package osmerin.app.articles;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.Round;

/** What came of setting a publish date. */
public sealed interface DateChange {
  /** It was set. */
  record Done(Round round, @Nullable LocalDate from, @Nullable LocalDate to)
      implements DateChange {}

  /** Nothing was changed: there is no time for the steps. */
  record Refused(Round round, Impossible why) implements DateChange {
    public LocalDate wanted() {
      return why.wanted();
    }

    public List<String> deciding() {
      return why.deciding();
    }

    public LocalDate earliest() {
      return why.earliest();
    }
  }
}
