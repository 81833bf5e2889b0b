package osmerin.app.handout;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import osmerin.app.briefs.Brief;
import osmerin.app.briefs.BriefPage;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.Round;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.Term;

/**
 * A brief as its writer reads it, wherever it is printed, downloaded or shown by link: only what is
 * on and filled in.
 *
 * @param title the working title, or the article's
 * @param facts short values with their names
 * @param why the parts that stand before the outline
 * @param more the parts that stand after it
 */
public record BriefDocument(
    Round round,
    String title,
    List<Fact> facts,
    List<Part> why,
    Outline outline,
    List<Part> more,
    boolean signedOff) {
  /** A short value: "Length", "1,200–1,600 words". */
  public record Fact(String name, String value) {}

  /** A text with its heading. */
  public record Part(String heading, String text) {}

  private static final Set<BriefPart> BEFORE =
      Set.of(
          BriefPart.READER,
          BriefPart.INTENT,
          BriefPart.FUNNEL_STAGE,
          BriefPart.PURPOSE,
          BriefPart.ANGLE);

  /** Draws it from what the page shows. */
  public static BriefDocument of(BriefPage page) {
    Brief brief = page.brief();
    Set<BriefPart> shown = brief.content().shown(page.on());
    List<Part> why = new ArrayList<>();
    List<Part> more = new ArrayList<>();
    for (BriefPart part : shown) {
      String text = part == BriefPart.TERMS ? terms(page) : page.text(part);
      if (!text.isBlank()) {
        (BEFORE.contains(part) ? why : more).add(new Part(part.label(), text));
      }
    }
    String title = brief.workingTitle().isBlank() ? page.round().title() : brief.workingTitle();
    return new BriefDocument(
        page.round(), title, facts(page, shown), why, brief.outline(), more, brief.isSignedOff());
  }

  private static List<Fact> facts(BriefPage page, Set<BriefPart> shown) {
    BriefContent content = page.brief().content();
    List<Fact> facts = new ArrayList<>();
    add(facts, "Primary keyword", content.primaryKeyword());
    add(facts, "Secondary keywords", String.join(", ", content.secondary()));
    if (shown.contains(BriefPart.LENGTH) || content.words().isPresent()) {
      page.length()
          .ifPresent(
              range ->
                  add(
                      facts,
                      "Length",
                      In.number((long) range.low())
                          + "–"
                          + In.number((long) range.high())
                          + " words"));
    }
    if (shown.contains(BriefPart.DEADLINE)) {
      if (page.draftDue() != null) {
        add(facts, "Draft due", In.dayAndYear(page.draftDue()));
      }
      if (page.round().publishDate() != null) {
        add(facts, "Publish date", In.dayAndYear(page.round().publishDate()));
      }
    }
    return List.copyOf(facts);
  }

  private static void add(List<Fact> facts, String name, String value) {
    if (!value.isBlank()) {
      facts.add(new Fact(name, value));
    }
  }

  private static String terms(BriefPage page) {
    List<String> terms = new ArrayList<>();
    page.brief().text(BriefPart.TERMS).lines().map(String::strip).forEach(terms::add);
    BriefPage.drawn(page.evidence()).terms().stream()
        .map(Term::phrase)
        .filter(phrase -> !terms.contains(phrase))
        .forEach(terms::add);
    return String.join(", ", terms.stream().filter(term -> !term.isEmpty()).toList());
  }
}
