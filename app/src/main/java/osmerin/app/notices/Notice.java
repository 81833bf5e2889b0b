package osmerin.app.notices;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something a person was told.
 *
 * @param path of the page it is about
 */
public record Notice(
    long id,
    String site,
    NoticeKind kind,
    String text,
    String path,
    Instant at,
    @Nullable Instant readAt) {
  public boolean isRead() {
    return readAt != null;
  }
}
