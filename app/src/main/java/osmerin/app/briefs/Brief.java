package osmerin.app.briefs;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

/**
 * The brief of a round.
 *
 * @param secondary keywords besides the primary one
 * @param words the range that was set by hand; when empty that of the evidence holds
 * @param version counts the changes; 0 before the first one was saved
 * @param changedBy name of whoever changed it last, null before
 */
public record Brief(
    long roundId,
    String workingTitle,
    String primaryKeyword,
    List<String> secondary,
    String reader,
    String angle,
    Optional<WordRange> words,
    Outline outline,
    String notes,
    int version,
    @Nullable String changedBy,
    @Nullable Instant changedAt,
    Optional<SignOff> signOff) {

  /** An editor's word that a version is what the writer needs. */
  public record SignOff(int version, String by, Instant at) {}

  /** Whether it is signed off as it stands. */
  public boolean isSignedOff() {
    return signOff.filter(s -> s.version() == version).isPresent();
  }

  /** Words of the longest text field. */
  public static final int LONGEST_TEXT = 10_000;
}
