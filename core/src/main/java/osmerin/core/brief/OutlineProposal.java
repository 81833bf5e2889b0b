package osmerin.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.PagesSay;
import osmerin.core.text.Stems;

/**
 * Adds to an outline what ranking pages have: the headings that several share, in the order in
 * which they use them, each with the questions it answers as its note. What a person wrote stays as
 * it is and in its order.
 */
public final class OutlineProposal {
  /** More sections than these nobody fills. */
  public static final int MOST_ADDED = 10;

  /** Proposed sections have so many words each on average, but for the first few. */
  public static final int FEWEST_WORDS = 60;

  private static final int FEWEST_SECTIONS = 3;

  /** A heading of fewer pages is one author's idea. */
  private static final int FEWEST_PAGES = 2;

  private static final int MOST_QUESTIONS = 3;

  private final Stems stems = new Stems();
  private final PagesSay say;

  private OutlineProposal(PagesSay say) {
    this.say = say;
  }

  /**
   * Proposes.
   *
   * @param typed what is there already, may be empty
   * @param target words of the whole, which bound how many sections it takes; null for any
   * @return the same sections in the same order with the proposed ones between and after them; the
   *     same outline when there is nothing to add
   */
  public static Outline of(Outline typed, PagesSay say, @Nullable Integer target) {
    return new OutlineProposal(say).to(typed, room(typed, target));
  }

  /** How many sections may be added. */
  public static int room(Outline typed, @Nullable Integer target) {
    int most =
        target == null
            ? Outline.MOST_SECTIONS
            : Math.max(FEWEST_SECTIONS, Math.min(Outline.MOST_SECTIONS, target / FEWEST_WORDS));
    return Math.max(0, Math.min(MOST_ADDED, most - typed.sections().size()));
  }

  private Outline to(Outline typed, int room) {
    List<List<Section>> branches = branches(typed);
    Map<PagesSay.Heading, Section> added = sections(fresh(typed, room));
    List<Section> all = new ArrayList<>();
    List<PagesSay.Heading> waiting = new ArrayList<>(added.keySet());
    for (List<Section> branch : branches) {
      Double place = place(branch);
      for (PagesSay.Heading heading : List.copyOf(waiting)) {
        if (place != null && heading.place() < place) {
          all.add(added.get(heading));
          waiting.remove(heading);
        }
      }
      all.addAll(branch);
    }
    waiting.forEach(heading -> all.add(added.get(heading)));
    return new Outline(all);
  }

  /** Sections at the top with all that hangs below each, so that nothing comes between. */
  private static List<List<Section>> branches(Outline outline) {
    List<List<Section>> branches = new ArrayList<>();
    for (Section section : outline.sections()) {
      if (section.depth() == 0) {
        branches.add(new ArrayList<>());
      }
      branches.get(branches.size() - 1).add(section);
    }
    return branches;
  }

  /** Where pages have the first heading of a branch that they share; null when they have none. */
  private @Nullable Double place(List<Section> branch) {
    for (Section section : branch) {
      Set<String> its = stems.subject(section.heading());
      for (PagesSay.Heading heading : say.headings()) {
        if (heading.pages() >= FEWEST_PAGES && stems.subject(heading.text()).equals(its)) {
          return heading.place();
        }
      }
    }
    return null;
  }

  /** Headings of several pages that the outline lacks, of the most pages first, then by place. */
  private List<PagesSay.Heading> fresh(Outline typed, int room) {
    Set<Set<String>> known =
        typed.sections().stream()
            .map(section -> stems.subject(section.heading()))
            .collect(Collectors.toCollection(HashSet::new));
    return say.headings().stream()
        .filter(heading -> heading.pages() >= FEWEST_PAGES)
        .filter(heading -> known.add(stems.subject(heading.text())))
        .limit(room)
        .sorted(
            Comparator.comparingDouble(PagesSay.Heading::place)
                .thenComparing(PagesSay.Heading::text))
        .toList();
  }

  private Map<PagesSay.Heading, Section> sections(List<PagesSay.Heading> headings) {
    Map<PagesSay.Heading, List<String>> answers = new LinkedHashMap<>();
    headings.forEach(heading -> answers.put(heading, new ArrayList<>()));
    for (String question : say.questions()) {
      PagesSay.Heading nearest = nearest(question, headings);
      if (nearest != null && answers.get(nearest).size() < MOST_QUESTIONS) {
        answers.get(nearest).add(question);
      }
    }
    Map<PagesSay.Heading, Section> sections = new LinkedHashMap<>();
    answers.forEach(
        (heading, asked) ->
            sections.put(heading, new Section(heading.text(), 0, String.join(" ", asked))));
    return sections;
  }

  /** The heading that shares most words with a question; null when none shares any, or it is it. */
  private PagesSay.@Nullable Heading nearest(String question, List<PagesSay.Heading> headings) {
    Set<String> asked = stems.subject(question);
    PagesSay.Heading best = null;
    long most = 0;
    for (PagesSay.Heading heading : headings) {
      Set<String> its = stems.subject(heading.text());
      if (its.equals(asked)) {
        return null;
      }
      long shared = its.stream().filter(asked::contains).count();
      if (shared > most) {
        most = shared;
        best = heading;
      }
    }
    return best;
  }
}
