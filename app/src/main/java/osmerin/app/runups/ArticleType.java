package osmerin.app.runups;

import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.app.site.Role;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.brief.BriefPart;
import osmerin.core.evidence.WordRange;

/**
 * An article type, or for {@link Kind#REFRESH} a refresh depth.
 *
 * @param hours of its run-up
 * @param writingHours of the writing among them
 * @param version counts its changes
 * @param open rounds in work that have it
 * @param wordsLow how long its articles usually are, from
 * @param wordsHigh up to
 * @param linkNames the links its articles usually have, a name a line
 * @param briefNeed what its articles need before anybody writes
 * @param briefParts the parts that are on in its briefs, their names in order with a space between
 * @param signOffBy the least role that signs its briefs off
 */
public record ArticleType(
    long id,
    String name,
    Kind kind,
    int cushion,
    double hours,
    double writingHours,
    int steps,
    int version,
    int open,
    @Nullable Integer wordsLow,
    @Nullable Integer wordsHigh,
    BriefNeed briefNeed,
    String linkNames,
    String briefParts,
    Role signOffBy) {
  /** How long its articles usually are; empty where nothing was said. */
  public Optional<WordRange> words() {
    return wordsLow == null || wordsHigh == null
        ? Optional.empty()
        : Optional.of(WordRange.of(wordsLow, wordsHigh));
  }

  /** The parts that are on in its briefs. */
  public Set<BriefPart> briefPartSet() {
    return BriefPart.named(briefParts);
  }
}
