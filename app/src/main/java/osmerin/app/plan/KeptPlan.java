package osmerin.app.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Kind;

/** A month's publish dates as they stood when it began; those of no kind when nothing was kept. */
record KeptPlan(Map<Kind, List<LocalDate>> dates) {
  static final KeptPlan NONE = new KeptPlan(Map.of());

  /** Null when nothing was kept. */
  @Nullable List<LocalDate> of(Kind kind) {
    return dates.get(kind);
  }
}
