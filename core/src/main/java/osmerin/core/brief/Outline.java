package osmerin.core.brief;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

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

  /** Words that one section may be given. */
  public static final int MOST_WORDS = 100_000;

  /**
   * A heading to be written.
   *
   * @param id tells it from the other sections of its outline as long as it lives; empty until it
   *     is in one
   * @param depth 0–{@value Outline#DEEPEST}
   * @param note what belongs into it, may be empty
   * @param words how long it should be without what is nested in it, null while nobody said
   */
  public record Section(
      @Nullable String id,
      String heading,
      int depth,
      @Nullable String note,
      @Nullable Integer words) {
    public Section {
      if (heading == null || heading.isBlank()) {
        throw new IllegalArgumentException("a section has a heading");
      }
      if (depth < 0 || depth > DEEPEST) {
        throw new IllegalArgumentException("depth " + depth + " is not between 0 and " + DEEPEST);
      }
      if (words != null && (words < 0 || words > MOST_WORDS)) {
        throw new IllegalArgumentException(words + " words are not between 0 and " + MOST_WORDS);
      }
      id = id == null ? "" : id;
      note = note == null ? "" : note;
      words = words != null && words == 0 ? null : words;
    }

    /** A section that is in no outline yet, without a budget. */
    public Section(String heading, int depth, String note) {
      this("", heading, depth, note, null);
    }

    Section at(int newDepth) {
      return new Section(id, heading, newDepth, note, words);
    }

    Section called(String newId) {
      return new Section(newId, heading, depth, note, words);
    }

    /** With a budget; 0 for none. */
    public Section of(int newWords) {
      return new Section(id, heading, depth, note, newWords);
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
    for (Section section : named(sections)) {
      Section at = section.at(Math.min(section.depth(), allowed));
      formed.add(at);
      allowed = Math.min(DEEPEST, at.depth() + 1);
    }
    sections = List.copyOf(formed);
  }

  /** Gives those a name that have none, or one that another has. */
  private static List<Section> named(List<Section> sections) {
    Set<String> taken = new HashSet<>();
    sections.forEach(section -> taken.add(section.id()));
    Set<String> used = new HashSet<>();
    List<Section> named = new ArrayList<>();
    int next = 1;
    for (Section section : sections) {
      String id = section.id();
      if (id.isEmpty() || !used.add(id)) {
        while (!taken.add("s" + next)) {
          next++;
        }
        id = "s" + next;
        used.add(id);
      }
      named.add(section.called(id));
    }
    return named;
  }

  /** The words of all budgets together. */
  public int words() {
    return sections.stream()
        .map(Section::words)
        .filter(Objects::nonNull)
        .mapToInt(Integer::intValue)
        .sum();
  }

  public boolean isEmpty() {
    return sections.isEmpty();
  }
}
