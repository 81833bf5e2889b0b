package osmerin.core.checklist;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import osmerin.core.brief.TitleCheck;
import osmerin.core.draft.CheckResult;
import osmerin.core.draft.CheckResult.Check;
import osmerin.core.draft.CheckResult.Place;
import osmerin.core.draft.DraftDocument.Link;
import osmerin.core.draft.DraftDocument.Picture;
import osmerin.core.text.Counted;
import osmerin.core.text.Verdict;

/** What Osmerin looks up in a draft itself before it is published. */
public enum OwnCheck {
  TITLE("The title fits into a search result", OwnCheck::title),
  DESCRIPTION("There is a description", OwnCheck::description),
  HEADINGS("The headings are in order", OwnCheck::headings),
  PICTURES("There is a picture, and each has alternative text", OwnCheck::pictures),
  LINKS("It links to other pages of the site, and no link is broken", OwnCheck::links),
  LENGTH("Its length is near the target", OwnCheck::length);

  private static final int SHORTEST_DESCRIPTION = 70;
  private static final int LONGEST_DESCRIPTION = 160;

  /**
   * What was found.
   *
   * @param said what was seen, in words and numbers
   */
  public record Found(boolean met, String said) {}

  private final String label;
  private final Function<Looked, Found> look;

  OwnCheck(String label, Function<Looked, Found> look) {
    this.label = label;
    this.look = look;
  }

  /** What people read. */
  public String label() {
    return label;
  }

  /** Looks it up. */
  public Found look(Looked at) {
    return look.apply(at);
  }

  private static Found title(Looked at) {
    TitleCheck title = TitleCheck.of(at.title(), "");
    String said = "%s, %s of %s pixels";
    return new Found(
        title.length() != Verdict.NOT_MET,
        said.formatted(
            Counted.of(title.characters(), "character"), title.pixels(), TitleCheck.MOST_PIXELS));
  }

  private static Found description(Looked at) {
    Optional<String> text = at.draft().description();
    if (text.isEmpty()) {
      return new Found(false, "none; it stands above the text, between two lines of ---");
    }
    int characters = text.get().codePointCount(0, text.get().length());
    boolean met = characters >= SHORTEST_DESCRIPTION && characters <= LONGEST_DESCRIPTION;
    String said = Counted.of(characters, "character");
    return new Found(
        met,
        met
            ? said
            : said + "; %s to %s are best".formatted(SHORTEST_DESCRIPTION, LONGEST_DESCRIPTION));
  }

  private static Found headings(Looked at) {
    CheckResult order = result(at, Check.HEADING_ORDER);
    String first = order.places().stream().map(Place::what).findFirst().orElse(order.figure());
    return new Found(order.verdict() == Verdict.MET, first);
  }

  private static Found pictures(Looked at) {
    List<Picture> pictures = at.draft().pictures();
    if (pictures.isEmpty()) {
      return new Found(false, "no picture");
    }
    return pictures.stream()
        .filter(picture -> picture.alt().isBlank())
        .findFirst()
        .map(bare -> new Found(false, "without alternative text: line " + bare.line()))
        .orElse(new Found(true, Counted.of(pictures.size(), "picture")));
  }

  private static Found links(Looked at) {
    List<Link> links = at.draft().links();
    Optional<Link> broken =
        links.stream().filter(link -> !new LinkAddress(link.address()).isSound()).findFirst();
    if (broken.isPresent()) {
      return new Found(
          false, "broken: “%s”, line %s".formatted(broken.get().text(), broken.get().line()));
    }
    long inside = links.stream().filter(link -> at.isInside(link.address())).count();
    return new Found(
        inside > 0, Counted.of(links.size(), "link") + ", " + inside + " to pages of the site");
  }

  private static Found length(Looked at) {
    CheckResult length = result(at, Check.LENGTH);
    return new Found(length.verdict() != Verdict.NOT_MET, length.figure());
  }

  private static CheckResult result(Looked at, Check check) {
    return at.check().results().stream()
        .filter(result -> result.check() == check)
        .findFirst()
        .orElseThrow();
  }
}
