package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;

/**
 * A brief as it is typed where no script saves each field by itself; fields that were not sent stay
 * as they are.
 *
 * @param secondary one keyword a line
 * @param texts of the parts
 * @param id the sections of the outline, so that they stay the same ones
 * @param heading headings of the outline in order; empty ones are left out
 * @param depth their depths
 * @param note their notes
 * @param words their words
 * @param version the version the person has seen
 */
record BriefForm(
    @Nullable String primaryKeyword,
    @Nullable String secondary,
    @Nullable String wordsLow,
    @Nullable String wordsHigh,
    @Nullable Map<BriefPart, String> texts,
    @Nullable List<String> id,
    @Nullable List<String> heading,
    @Nullable List<Integer> depth,
    @Nullable List<String> note,
    @Nullable List<String> words,
    int version) {

  /**
   * The brief with what was typed.
   *
   * @throws RefusedException saying what is at fault
   */
  BriefContent over(BriefContent now) {
    BriefContent typed = now;
    if (primaryKeyword != null) {
      typed = typed.withPrimary(primaryKeyword.strip());
    }
    if (secondary != null) {
      typed =
          typed.withSecondary(
              text(secondary).lines().map(String::strip).filter(l -> !l.isEmpty()).toList());
    }
    if (heading != null) {
      typed = typed.withOutline(outline());
    }
    if (wordsLow != null || wordsHigh != null) {
      typed = rescaled(typed, range());
    }
    typed = texts(typed);
    BriefLimits.check(typed);
    return typed;
  }

  /** The brief with the texts of the parts only, which are never at fault but by their length. */
  BriefContent texts(BriefContent now) {
    Map<BriefPart, String> both = new EnumMap<>(BriefPart.class);
    both.putAll(now.texts());
    if (texts != null) {
      texts.forEach((part, text) -> both.put(part, text(text)));
    }
    return now.withTexts(both);
  }

  /** The words of sections follow another length, not one that was there already. */
  private static BriefContent rescaled(BriefContent typed, Optional<WordRange> range) {
    return range.equals(typed.words()) ? typed : typed.ofLength(range);
  }

  private Optional<WordRange> range() {
    try {
      return WordRange.read(wordsLow, wordsHigh);
    } catch (IllegalArgumentException e) {
      throw new RefusedException(e.getMessage());
    }
  }

  private Outline outline() {
    List<Outline.Section> sections = new ArrayList<>();
    for (int i = 0; i < heading.size(); i++) {
      String its = heading.get(i).strip();
      if (!its.isEmpty()) {
        int at = depth == null || i >= depth.size() || depth.get(i) == null ? 0 : depth.get(i);
        sections.add(
            new Outline.Section(
                at(id, i),
                its,
                Math.max(0, Math.min(Outline.DEEPEST, at)),
                at(note, i),
                BriefLimits.words(at(words, i))));
      }
    }
    BriefLimits.check(sections.size());
    return new Outline(sections);
  }

  private static String at(@Nullable List<String> values, int i) {
    return values == null || i >= values.size() || values.get(i) == null
        ? ""
        : values.get(i).strip();
  }

  /** Browsers send line ends as CR LF. */
  private static String text(String typed) {
    return typed.replace("\r\n", "\n").strip();
  }
}
