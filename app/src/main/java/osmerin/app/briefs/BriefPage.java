package osmerin.app.briefs;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.Round;
import osmerin.core.brief.Answered;
import osmerin.core.brief.BriefLack;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.OutlineCheck;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Counted;

/**
 * A brief as it is written, with what stands beside it.
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
    @Nullable LocalDate draftDue,
    List<BriefLack> lacks,
    List<OutlineCheck.Remark> remarks) {

  /** Something evidence says, to be taken into the brief. */
  public record Said(String kind, String text, String source, int in) {
    /** A point goes into the note of a section, anything else is a section of its own. */
    public String taken() {
      return kind.equals(POINT) ? "note" : "section";
    }
  }

  static final String POINT = "point";

  /** A part that is written, as it stands. */
  public record PartShown(BriefPart part, String text) {}

  private static final int MOST_SHOWN = 40;

  /** What was drawn from pages, nothing where there are none. */
  public static Evidence drawn(@Nullable KeptEvidence evidence) {
    return evidence == null ? Evidence.NONE : evidence.evidence();
  }

  static PagesSay say(@Nullable KeptEvidence evidence) {
    return evidence == null ? PagesSay.NOTHING : evidence.say();
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

  /** The parts that somebody writes, those that are on first. */
  public List<PartShown> written() {
    return brief.content().shown(on).stream()
        .filter(BriefPart::isWritten)
        .map(part -> new PartShown(part, brief.text(part)))
        .toList();
  }

  public boolean has(BriefPart part) {
    return brief.content().shown(on).contains(part);
  }

  public List<Said> questions() {
    Answered answered = new Answered(brief.outline());
    return say(evidence).questions().stream()
        .limit(MOST_SHOWN)
        .map(text -> new Said("question", text, "question", answered.in(text)))
        .toList();
  }

  public List<Said> headings() {
    Answered answered = new Answered(brief.outline());
    return say(evidence).headings().stream()
        .limit(MOST_SHOWN)
        .map(
            heading ->
                new Said(
                    "heading",
                    heading.text(),
                    "heading, " + Counted.of(heading.pages(), "page"),
                    answered.in(heading.text())))
        .toList();
  }

  public List<Said> points() {
    Answered answered = new Answered(brief.outline());
    return say(evidence).points().stream()
        .limit(MOST_SHOWN)
        .map(
            point ->
                new Said(
                    POINT,
                    point.text(),
                    "point, " + Counted.of(point.sayers(), "page"),
                    answered.in(point.text())))
        .toList();
  }

  /** What no section has yet: questions, and headings and points of several pages. */
  public List<Said> open() {
    return Stream.of(
            questions().stream(),
            headings().stream().filter(said -> !said.source().endsWith(" 1 page")),
            points().stream().filter(said -> !said.source().endsWith(" 1 page")))
        .flatMap(said -> said)
        .filter(said -> said.in() == 0)
        .toList();
  }
}
