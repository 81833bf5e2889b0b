package osmerin.app.rounds;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.Kind;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;

/** Rounds that no database holds. */
final class TestRounds {
  private TestRounds() {}

  /** The first round of “Eels”, at Drafting. */
  static Round eels(@Nullable LocalDate publishDate, int cushion) {
    Article article = new Article(1, "EX", 1, "Eels", 1, null, null, false, null, Map.of());
    return new Round(
        1,
        article,
        1,
        true,
        Kind.NEW,
        1,
        "Guide",
        cushion,
        new Stage(3, "Drafting", Phase.IN_HAND, 2),
        publishDate,
        null,
        Instant.EPOCH,
        List.of(),
        null);
  }
}
