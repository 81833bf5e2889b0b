package osmerin.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import osmerin.core.evidence.WordRange;
import osmerin.core.text.Counted;
import osmerin.core.text.Stems;

/**
 * Something that a brief still lacks.
 *
 * @param place where it is to be written
 * @param words "an angle"
 */
public record BriefLack(Place place, String words) {
  /** Parts of a brief, in their order. */
  public enum Place {
    TITLE,
    KEYWORD,
    LENGTH,
    READER,
    ANGLE,
    OUTLINE
  }

  /** From this part of its words on a section answers a question. */
  private static final double ANSWERED = 0.6;

  /**
   * A brief as it is held against what its writer needs.
   *
   * @param length that holds for it, wherever it comes from
   */
  public record Written(
      String title,
      String keyword,
      String reader,
      String angle,
      Optional<WordRange> length,
      Outline outline) {}

  /**
   * What it lacks, in the order of the brief; empty when nothing.
   *
   * @param questions that ranking pages ask; each belongs into some section
   */
  public static List<BriefLack> of(Written brief, List<String> questions) {
    List<BriefLack> lacks = new ArrayList<>();
    add(lacks, Place.TITLE, brief.title().isBlank(), "a working title");
    add(lacks, Place.KEYWORD, brief.keyword().isBlank(), "a primary keyword");
    add(lacks, Place.LENGTH, brief.length().isEmpty(), "a length");
    add(lacks, Place.READER, brief.reader().isBlank(), "its reader");
    add(lacks, Place.ANGLE, brief.angle().isBlank(), "an angle");
    add(lacks, Place.OUTLINE, brief.outline().isEmpty(), "an outline");
    long open = brief.outline().isEmpty() ? 0 : unanswered(brief.outline(), questions);
    add(lacks, Place.OUTLINE, open > 0, "sections for " + Counted.of(open, "question"));
    return List.copyOf(lacks);
  }

  private static void add(List<BriefLack> lacks, Place place, boolean lacking, String words) {
    if (lacking) {
      lacks.add(new BriefLack(place, words));
    }
  }

  private static long unanswered(Outline outline, List<String> questions) {
    Stems stems = new Stems();
    List<Set<String>> sections =
        outline.sections().stream()
            .map(section -> stems.subject(section.heading() + " " + section.note()))
            .toList();
    return questions.stream()
        .map(stems::subject)
        .filter(asked -> sections.stream().noneMatch(section -> answers(section, asked)))
        .count();
  }

  private static boolean answers(Set<String> section, Set<String> asked) {
    return asked.stream().filter(section::contains).count() >= ANSWERED * asked.size();
  }
}
