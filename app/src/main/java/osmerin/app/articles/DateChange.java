package osmerin.app.articles;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What came of setting a publish date. */
public sealed interface DateChange {
  /** It was set. */
  record Done(Round round, @Nullable LocalDate from, @Nullable LocalDate to)
      implements DateChange {}

  /**
   * Nothing was changed: there is no time for the steps.
   *
   * @param deciding names of the steps that decide
   * @param earliest the earliest possible date
   */
  record Impossible(Round round, LocalDate wanted, List<String> deciding, LocalDate earliest)
      implements DateChange {}
}
