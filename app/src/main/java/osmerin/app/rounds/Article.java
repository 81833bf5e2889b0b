package osmerin.app.rounds;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.runup.StepRole;

/**
 * An article: what all its rounds have in common.
 *
 * @param prefix of the site's reference numbers
 * @param groupId the keyword group it answers, null for none
 * @param people who is named for a role
 */
public record Article(
    long id,
    String prefix,
    int number,
    String title,
    int version,
    @Nullable Long groupId,
    @Nullable String liveAddress,
    boolean liveSimulated,
    @Nullable Instant archivedAt,
    Map<StepRole, Long> people) {

  public Article {
    people = Map.copyOf(people);
  }

  public @Nullable Long strategistId() {
    return people.get(StepRole.STRATEGIST);
  }

  public @Nullable Long editorId() {
    return people.get(StepRole.EDITOR);
  }

  public @Nullable Long writerId() {
    return people.get(StepRole.WRITER);
  }

  /** "MP-0158". */
  public String reference() {
    return new ReferenceNumber(prefix, number).toString();
  }
}
