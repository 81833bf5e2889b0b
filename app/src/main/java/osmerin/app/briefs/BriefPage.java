package osmerin.app.briefs;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.Round;
import osmerin.core.brief.BriefPart;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Counted;

/**
 * A brief as it is written, with what it says by its type, the brand sheet and its evidence.
 *
 * @param evidence null when none was fetched
 * @param length that holds, wherever it comes from
 * @param on the parts that are on
 * @param inherited what the brand sheet says of parts in which the brief says nothing
 * @param draftDue when the draft is due, null when nothing says
 */
public record BriefPage(
    Round round,
    Brief brief,
    @Nullable KeptEvidence evidence,
    Optional<WordRange> length,
    Set<BriefPart> on,
    Map<BriefPart, String> inherited,
    @Nullable LocalDate draftDue) {

  /** A part that is written, as it stands. */
  public record PartShown(BriefPart part, String text) {}

  /** What was drawn from pages, nothing where there are none. */
  public static Evidence drawn(@Nullable KeptEvidence evidence) {
    return evidence == null ? Evidence.NONE : evidence.evidence();
  }

  static PagesSay say(@Nullable KeptEvidence evidence) {
    return evidence == null ? PagesSay.NOTHING : evidence.say();
  }

  /** Whether this is a further round's, and its evidence was fetched before that was opened. */
  public boolean isEvidenceOfBefore() {
    return evidence != null
        && round.ordinal() > 1
        && !evidence.fetchedAt().isAfter(round.startedAt());
  }

  /** Words that the sections are to add up to; null when nothing says. */
  public @Nullable Integer target() {
    return length.map(WordRange::target).orElse(null);
  }

  /** "1,380 of 1,400 words"; empty while no section has any. */
  public String budget() {
    int words = brief.outline().words();
    if (words == 0) {
      return target() == null ? "" : "target " + Counted.of(target(), "word");
    }
    return target() == null
        ? Counted.of(words, "word")
        : Counted.of(words) + " of " + Counted.of(target(), "word");
  }

  /** What a part says, of its own or by the brand sheet; empty for nothing. */
  public String text(BriefPart part) {
    String own = brief.text(part);
    return own.isEmpty() && on.contains(part) ? inherited.getOrDefault(part, "") : own;
  }

  /** What stands in an empty part: what it inherits, or what to write there. */
  public String hint(BriefPart part) {
    String brand = inherited.getOrDefault(part, "");
    return brand.isEmpty() ? part.prompt() : "From the brand sheet: " + brand;
  }

  /** The parts that somebody writes. */
  public List<PartShown> written() {
    return brief.content().shown(on).stream()
        .filter(BriefPart::isWritten)
        .map(part -> new PartShown(part, brief.text(part)))
        .toList();
  }

  public boolean has(BriefPart part) {
    return brief.content().shown(on).contains(part);
  }

  /** A field as it is sent with its change. */
  public String sent(String field) {
    return BriefField.get(field).sent(brief.content());
  }
}
