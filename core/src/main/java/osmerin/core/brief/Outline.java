package osmerin.core.brief;

import java.util.ArrayList;
import java.util.List;

/**
 * The sections of a brief in their order, nested up to three deep. Always well formed: the first
 * section stands at the top, and no section stands more than one level below the one before it.
 */
public record Outline(List<Section> sections) {
  public static final Outline NONE = new Outline(List.of());

  /** Deepest level; 0 is a section, 2 a section in a section in a section. */
  public static final int DEEPEST = 2;

  /** Sections in one brief. */
  public static final int MOST_SECTIONS = 100;

  /**
   * A heading to be written.
   *
   * @param depth 0–{@value Outline#DEEPEST}
   * @param note what belongs into it, may be empty
   */
  public record Section(String heading, int depth, String note) {
    public Section {
      if (heading.isBlank()) {
        throw new IllegalArgumentException("a section has a heading");
      }
      if (depth < 0 || depth > DEEPEST) {
        throw new IllegalArgumentException("depth " + depth + " is not between 0 and " + DEEPEST);
      }
    }

    Section at(int newDepth) {
      return new Section(heading, newDepth, note);
    }
  }

  /** Lifts sections that hang in the air to one level below the section before them. */
  public Outline {
    if (sections.size() > MOST_SECTIONS) {
      throw new IllegalArgumentException(
          sections.size() + " sections are more than " + MOST_SECTIONS);
    }
    List<Section> formed = new ArrayList<>();
    int allowed = 0;
    for (Section section : sections) {
      Section at = section.at(Math.min(section.depth(), allowed));
      formed.add(at);
      allowed = Math.min(DEEPEST, at.depth() + 1);
    }
    sections = List.copyOf(formed);
  }

  public boolean isEmpty() {
    return sections.isEmpty();
  }
}
