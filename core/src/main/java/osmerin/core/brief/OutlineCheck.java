package osmerin.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.PagesSay;
import osmerin.core.text.Counted;
import osmerin.core.text.Stems;

/**
 * What an outline could do better, held against what ranking pages say: questions and points
 * without a section, another order than theirs, sections that stand alone in another one, and words
 * that are shared out badly.
 */
public final class OutlineCheck {
  /** A section of more than this part of all words may be two. */
  private static final double LARGE = 0.4;

  private static final int FEWEST_TO_BALANCE = 3;

  /** Pages this far apart in their order say something of it. */
  private static final double EARLIER = 0.15;

  private static final int FEWEST_PAGES = 2;

  /**
   * A remark.
   *
   * @param kind what it is about
   * @param words "The questions of 3 pages …"
   */
  public record Remark(Kind kind, String words) {}

  /** What remarks are about, in the order in which they stand. */
  public enum Kind {
    QUESTIONS,
    POINTS,
    ORDER,
    DEPTH,
    BALANCE,
    LENGTH
  }

  private final Outline outline;
  private final PagesSay say;
  private final List<Remark> remarks = new ArrayList<>();

  private OutlineCheck(Outline outline, PagesSay say) {
    this.outline = outline;
    this.say = say;
  }

  /**
   * The remarks, by kind; none on an empty outline.
   *
   * @param target words that the article should have, null when unknown
   */
  public static List<Remark> of(Outline outline, PagesSay say, @Nullable Integer target) {
    OutlineCheck check = new OutlineCheck(outline, say);
    if (!outline.isEmpty()) {
      check.answers();
      check.order();
      check.depth();
      check.balance();
      check.length(target);
    }
    return List.copyOf(check.remarks);
  }

  private void add(Kind kind, String words) {
    remarks.add(new Remark(kind, words));
  }

  private void answers() {
    Answered answered = new Answered(outline);
    int questions = answered.open(say.questions()).size();
    if (questions > 0) {
      add(Kind.QUESTIONS, Counted.of(questions, "question") + " without a section");
    }
    int wide = wide();
    List<String> shared =
        say.points().stream()
            .filter(point -> point.sayers() >= wide)
            .map(PagesSay.Point::text)
            .toList();
    int points = answered.open(shared).size();
    if (points > 0) {
      add(
          Kind.POINTS,
          "%s of %s pages or more without a section".formatted(Counted.of(points, "point"), wide));
    }
  }

  /**
   * So many pages make a point worth a remark: half as many as make the most common one. Of all
   * that two pages say there is far more than anybody works off.
   */
  private int wide() {
    int most = say.points().stream().mapToInt(PagesSay.Point::sayers).max().orElse(0);
    return Math.max(FEWEST_PAGES, (most + 1) / 2);
  }

  /** The first pair of sections that pages clearly have the other way round. */
  private void order() {
    Stems stems = new Stems();
    Section before = null;
    double place = -1;
    for (Section section : outline.sections()) {
      Double its = place(section, stems);
      if (its == null) {
        continue;
      }
      if (before != null && its < place - EARLIER) {
        add(
            Kind.ORDER,
            "ranking pages put “%s” before “%s”".formatted(section.heading(), before.heading()));
        return;
      }
      before = section;
      place = its;
    }
  }

  private @Nullable Double place(Section section, Stems stems) {
    Set<String> its = stems.subject(section.heading());
    return say.headings().stream()
        .filter(heading -> heading.pages() >= FEWEST_PAGES)
        .filter(heading -> stems.subject(heading.text()).equals(its))
        .findFirst()
        .map(PagesSay.Heading::place)
        .orElse(null);
  }

  private void depth() {
    List<Section> sections = outline.sections();
    for (int i = 1; i < sections.size(); i++) {
      Section section = sections.get(i);
      boolean opens = section.depth() > sections.get(i - 1).depth();
      if (opens && isAlone(i)) {
        add(
            Kind.DEPTH,
            "“%s” is the only subsection of “%s”"
                .formatted(section.heading(), sections.get(i - 1).heading()));
      }
    }
  }

  /** Whether no other section stands in the same one. */
  private boolean isAlone(int at) {
    int depth = outline.sections().get(at).depth();
    for (int i = at + 1; i < outline.sections().size(); i++) {
      int next = outline.sections().get(i).depth();
      if (next <= depth) {
        return next < depth;
      }
    }
    return true;
  }

  private void balance() {
    int all = outline.words();
    if (outline.sections().size() < FEWEST_TO_BALANCE || all == 0) {
      return;
    }
    for (Section section : outline.sections()) {
      if (section.words() != null && section.words() > LARGE * all) {
        add(
            Kind.BALANCE,
            "“%s” has %s %% of the words"
                .formatted(section.heading(), 100 * section.words() / all));
      }
    }
    long without = outline.sections().stream().filter(section -> section.words() == null).count();
    if (without > 0) {
      add(Kind.BALANCE, Counted.of(without, "section") + " without a word count");
    }
  }

  private void length(@Nullable Integer target) {
    int all = outline.words();
    if (target != null && all != 0 && all != target) {
      add(
          Kind.LENGTH,
          "%s planned, %s %s than the target"
              .formatted(
                  Counted.of(all, "word"),
                  Counted.of(Math.abs(all - target)),
                  all > target ? "more" : "fewer"));
    }
  }
}
