package osmerin.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Counted;

/**
 * Something that a brief still lacks.
 *
 * @param place where it is to be written
 * @param part of the brief, null for another place
 * @param words "an angle"
 */
public record BriefLack(Place place, @Nullable BriefPart part, String words) {
  /** Places in a brief, in their order. */
  public enum Place {
    TITLE,
    KEYWORD,
    OUTLINE,
    PART
  }

  /**
   * What it lacks, in the order of the brief; empty when nothing.
   *
   * @param on the parts that it should have
   * @param given those that are filled from elsewhere, such as the length by what ranks
   * @param questions that ranking pages ask; each belongs into some section
   */
  public static List<BriefLack> of(
      BriefContent brief, Set<BriefPart> on, Set<BriefPart> given, List<String> questions) {
    List<BriefLack> lacks = new ArrayList<>();
    add(lacks, Place.TITLE, brief.workingTitle().isBlank(), "a working title");
    add(lacks, Place.KEYWORD, brief.primaryKeyword().isBlank(), "a primary keyword");
    add(lacks, Place.OUTLINE, brief.outline().isEmpty(), "an outline");
    int open = brief.outline().isEmpty() ? 0 : new Answered(brief.outline()).open(questions).size();
    add(lacks, Place.OUTLINE, open > 0, "sections for " + Counted.of(open, "question"));
    for (BriefPart part : BriefPart.values()) {
      boolean needed = part.isNeeded() || part == BriefPart.LENGTH;
      if (needed && on.contains(part) && !given.contains(part) && brief.text(part).isEmpty()) {
        lacks.add(new BriefLack(Place.PART, part, part.wanted()));
      }
    }
    return List.copyOf(lacks);
  }

  private static void add(List<BriefLack> lacks, Place place, boolean lacking, String words) {
    if (lacking) {
      lacks.add(new BriefLack(place, null, words));
    }
  }
}
