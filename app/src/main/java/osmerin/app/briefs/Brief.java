package osmerin.app.briefs;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;

/**
 * The brief of a round.
 *
 * @param version counts the changes; 0 before the first one was saved
 * @param changedBy name of whoever changed it last, null before
 * @param refusal what an editor wants changed before it is signed off
 */
public record Brief(
    long roundId,
    BriefContent content,
    int version,
    @Nullable String changedBy,
    @Nullable Instant changedAt,
    Optional<SignOff> signOff,
    Optional<Refusal> refusal) {

  /**
   * An editor's word that a version is what the writer needs.
   *
   * @param content as it was then; null for a sign-off of before that was kept
   */
  public record SignOff(int version, String by, Instant at, @Nullable BriefContent content) {}

  /** An editor's word on what to change. */
  public record Refusal(int version, String by, Instant at, String what) {}

  /** Words of the longest text field. */
  public static final int LONGEST_TEXT = 10_000;

  /** Whether it is signed off as it stands. */
  public boolean isSignedOff() {
    return signOff.filter(s -> s.version() == version || content.equals(s.content())).isPresent();
  }

  /** What was changed since it was signed off; empty when nothing was, and for one of before. */
  public List<BriefDifference> changed() {
    return signOff
        .map(SignOff::content)
        .map(signed -> BriefField.differences(signed, content))
        .orElse(List.of());
  }

  /** The same with other contents, as somebody typed them. */
  Brief with(BriefContent typed) {
    return new Brief(roundId, typed, version, changedBy, changedAt, signOff, refusal);
  }

  public String workingTitle() {
    return content.workingTitle();
  }

  public String primaryKeyword() {
    return content.primaryKeyword();
  }

  public List<String> secondary() {
    return content.secondary();
  }

  public Outline outline() {
    return content.outline();
  }

  /** What is written in a part, empty for nothing. */
  public String text(BriefPart part) {
    return content.text(part);
  }
}
