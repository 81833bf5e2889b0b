package osmerin.app.rounds;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.ReferenceNumber;

/**
 * An article: what all its rounds have in common.
 *
 * @param prefix of the site's reference numbers
 * @param groupId the keyword group it answers, null for none
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
    @Nullable Long strategistId,
    @Nullable Long editorId,
    @Nullable Long writerId) {

  /** "MP-0158". */
  public String reference() {
    return new ReferenceNumber(prefix, number).toString();
  }
}
