package osmerin.app.briefs;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import osmerin.core.brief.Answered;
import osmerin.core.brief.BriefLack;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.OutlineCheck;
import osmerin.core.evidence.PagesSay;
import osmerin.core.text.Counted;

/**
 * What stands beside a brief while it is written: what it lacks, what its outline could do better,
 * and what evidence says with the section that has it.
 *
 * @param open what no section has yet: questions, and headings and points of several pages
 */
public record BriefBeside(
    List<BriefLack> lacks,
    List<OutlineCheck.Remark> remarks,
    List<Said> open,
    List<Said> questions,
    List<Said> headings,
    List<Said> points) {
  private static final int MOST_SHOWN = 40;

  /**
   * Something evidence says.
   *
   * @param taken what it becomes in the outline: a "section", or the "note" of one
   * @param source which it is, and how many pages say it; empty for a question
   * @param pages that say it; 0 where that is not known
   * @param in the section that has it, from 1; 0 for none
   */
  public record Said(String text, String taken, String source, int pages, int in) {
    private static Said of(String text, String taken, String kind, int pages, Answered answered) {
      return new Said(
          text, taken, kind + ", " + Counted.of(pages, "page"), pages, answered.in(text));
    }
  }

  /** Draws it from what the page shows. */
  public static BriefBeside of(BriefPage page) {
    Answered answered = new Answered(page.brief().outline());
    PagesSay say = BriefPage.say(page.evidence());
    List<Said> questions =
        say.questions().stream()
            .limit(MOST_SHOWN)
            .map(text -> new Said(text, "section", "", 0, answered.in(text)))
            .toList();
    List<Said> headings =
        say.headings().stream()
            .limit(MOST_SHOWN)
            .map(its -> Said.of(its.text(), "section", "heading", its.pages(), answered))
            .toList();
    List<Said> points =
        say.points().stream()
            .limit(MOST_SHOWN)
            .map(its -> Said.of(its.text(), "note", "point", its.sayers(), answered))
            .toList();
    return new BriefBeside(
        BriefLack.of(page.brief().content(), page.on(), given(page), say.questions()),
        OutlineCheck.of(page.brief().outline(), say, page.target()),
        Stream.of(questions, headings, points)
            .flatMap(List::stream)
            .filter(said -> said.in() == 0 && said.pages() != 1)
            .toList(),
        questions,
        headings,
        points);
  }

  /** The parts that are filled from elsewhere. */
  private static Set<BriefPart> given(BriefPage page) {
    Set<BriefPart> given = EnumSet.noneOf(BriefPart.class);
    given.addAll(page.inherited().keySet());
    if (page.length().isPresent()) {
      given.add(BriefPart.LENGTH);
    }
    return given;
  }
}
