package osmerin.formats.html;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;
import osmerin.formats.html.Labels.Part;

/**
 * Leaves out what stands around the text of a page by what it says of itself, however it is marked
 * up: comments, related articles, polls, tables of contents, shop boxes, who wrote it. What opens
 * such a part takes with it the box it opens; without a box of its own, what follows below the same
 * heading.
 */
final class Around {
  /** A box is looked for so far above its first line. */
  private static final int HIGHEST = 6;

  /** A box of more words holds text. */
  private static final int LARGEST_BOX = 80;

  /** So long a paragraph is running text, which nothing but a comment is left out with. */
  private static final int RUNNING = 40;

  /** Lines of what opens a part without a box. */
  private static final int MOST_BELOW = 60;

  /** A line that follows what opens a part without a box. */
  private static final int SHORT = 12;

  /** A part of the page with more of all words is its text, unless it is comments. */
  private static final double MOST_OF_IT = 0.4;

  private static final Set<String> LARGE = Set.of("body", "main", "article");

  private static final int LONGEST_HEAD = 10;
  private static final int LINES_OF_HEAD = 5;
  private static final int LONGEST_STANDFIRST = 25;
  private static final int LONGEST_AUTHOR = 50;

  private static final Set<String> FIRST_PERSON = Set.of("i", "i'm", "my");

  /** What stands above the title has not more of all words. */
  private static final double HEAD = 0.2;

  /** An author is written of below the text. */
  private static final double LATE = 0.7;

  private static final Pattern OF_AUTHOR =
      Pattern.compile(
          "^(?:(?i:i am|i[’']m|my name is)|\\p{Lu}[\\p{L}’'-]{1,30}(?: \\p{Lu}[\\p{L}’'-]{1,30})?"
              + " (?:is|was|has|lives|writes|draws|works|worked|teaches|runs|cooks|grows|bakes|keeps))"
              + " .{10,}");

  private final List<Run> runs;
  private final int words;
  private final Contributions contributions;

  private Around(List<Run> runs) {
    this.runs = runs;
    words = runs.stream().filter(Run::isKept).mapToInt(Run::words).sum();
    contributions = new Contributions(runs);
  }

  /**
   * Leaves out what is no part of the page's text.
   *
   * @return contributions of different people that are its text; 0 for a page that is no discussion
   */
  static int leaveOut(List<Run> runs) {
    Around around = new Around(runs);
    around.contributions.leaveOut();
    around.parts();
    around.head();
    around.author();
    return around.contributions.posts();
  }

  private void parts() {
    for (int at = 0; at < runs.size(); at++) {
      Run run = runs.get(at);
      if (!run.isKept() || run.level() == 1) {
        continue;
      }
      Part opens = Labels.opens(run.toString());
      Part belongs = opens != null ? null : Labels.belongs(run.toString());
      if (opens != null) {
        open(at, opens);
      } else if (belongs != null) {
        Box box = box(at, false);
        leaveOut(box.from(), box.to(), belongs);
      }
    }
  }

  private void open(int at, Part part) {
    Box box = box(at, part == Part.COMMENTS);
    int to = box.to() > at + 1 ? box.to() : below(at, part);
    boolean comments = part == Part.COMMENTS;
    if (comments ? contributions.areComments(at, to) : isAround(at, to, part)) {
      leaveOut(at, to, part);
    }
  }

  private boolean isAround(int from, int to, Part part) {
    List<Run> inside = runs.subList(from, to).stream().filter(Run::isKept).toList();
    int here = inside.stream().mapToInt(Run::words).sum();
    boolean running = inside.stream().anyMatch(run -> run.words() >= RUNNING && !run.isLink());
    boolean alone = to == from + 1;
    return here <= MOST_OF_IT * words
        && !running
        && (!alone || runs.get(from).level() == 0 && saysIt(part));
  }

  /** What is its own whole part without anything below it. */
  private static boolean saysIt(Part part) {
    return part != Part.SHOP && part != Part.CONTENTS;
  }

  /** Runs of a box. */
  private record Box(int from, int to) {}

  /** The largest box around a line: small, or one that begins with it, of any size. */
  private Box box(int at, boolean anySize) {
    Box box = new Box(at, at + 1);
    Element parent = runs.get(at).block.parent();
    for (int up = 0; up < HIGHEST && parent != null && !isLarge(parent); up++) {
      Box around = anySize ? beginning(box, parent) : small(box, parent);
      if (around == null || hasHeadingOfText(around, at)) {
        break;
      }
      box = around;
      parent = parent.parent();
    }
    return box;
  }

  /** The runs of an element that begins with a box. */
  private @Nullable Box beginning(Box box, Element element) {
    int from = box.from();
    if (from > 0 && runs.get(from - 1).isWithin(element)) {
      return null;
    }
    int to = box.to();
    while (to < runs.size() && runs.get(to).isWithin(element)) {
      to++;
    }
    return new Box(from, to);
  }

  /** The runs of an element around a box, when they have few words; looks no further than that. */
  private @Nullable Box small(Box box, Element element) {
    int from = box.from();
    int to = box.to();
    int inside = wordsOf(from, to);
    while (inside <= LARGEST_BOX && from > 0 && runs.get(from - 1).isWithin(element)) {
      from--;
      inside += runs.get(from).words();
    }
    while (inside <= LARGEST_BOX && to < runs.size() && runs.get(to).isWithin(element)) {
      inside += runs.get(to).words();
      to++;
    }
    return inside <= LARGEST_BOX ? new Box(from, to) : null;
  }

  private static boolean isLarge(Element element) {
    return LARGE.contains(element.normalName());
  }

  private int wordsOf(int from, int to) {
    int sum = 0;
    for (int at = from; at < to; at++) {
      sum += runs.get(at).words();
    }
    return sum;
  }

  private boolean hasHeadingOfText(Box box, int opening) {
    for (int at = box.from(); at < box.to(); at++) {
      Run run = runs.get(at);
      boolean names = at == opening || Labels.opens(run.toString()) != null;
      if (run.level() == 1 || run.level() > 0 && !names && !run.isLink() && at < opening) {
        return true;
      }
    }
    return false;
  }

  /** Where what follows a line below the same heading ends. */
  private int below(int at, Part part) {
    int level = runs.get(at).level();
    Element parent = runs.get(at).block.parent();
    int to = at + 1;
    int last = part == Part.COMMENTS ? runs.size() : Math.min(runs.size(), at + MOST_BELOW);
    while (to < last && parent != null && runs.get(to).isWithin(parent)) {
      Run run = runs.get(to);
      boolean next = run.level() > 0 && (level == 0 || run.level() <= level);
      boolean goesOn = level > 0 || part == Part.COMMENTS || run.isLink() || run.words() <= SHORT;
      if (next || !goesOn) {
        break;
      }
      to++;
    }
    return to;
  }

  private void leaveOut(int from, int to, Part part) {
    for (int at = from; at < to; at++) {
      runs.get(at).leaveOut(part.reason());
    }
  }

  /** Lines around the title: where on the site it is, who wrote it, when, how long it takes. */
  private void head() {
    int title = title();
    runs.subList(0, title).forEach(run -> run.leaveOut("head of the page"));
    int seen = 0;
    for (int at = title; at < runs.size() && seen < LINES_OF_HEAD; at++) {
      Run run = runs.get(at);
      if (run.isKept() && run.level() == 0 && Stamp.isByline(run.toString())) {
        run.leaveOut(Part.BYLINE.reason());
      }
      seen += run.isKept() && run.level() != 1 ? 1 : 0;
      if (run.isKept() && run.words() >= LONGEST_STANDFIRST) {
        break;
      }
    }
  }

  /** The run of the first title when nothing but a few short lines stand above it, else 0. */
  private int title() {
    int above = 0;
    for (int at = 0; at < runs.size() && above <= HEAD * words; at++) {
      Run run = runs.get(at);
      if (run.level() == 1) {
        return at;
      }
      if (run.isKept() && run.words() > LONGEST_HEAD) {
        return 0;
      }
      above += run.isKept() ? run.words() : 0;
    }
    return 0;
  }

  /** A box of its own late on the page that speaks of a person. */
  private void author() {
    int before = 0;
    Set<String> small = writtenSmall();
    int kept = runs.stream().filter(Run::isKept).mapToInt(Run::words).sum();
    for (int at = 0; at < runs.size(); at++) {
      Run run = runs.get(at);
      if (run.isKept()) {
        before += run.words();
        boolean late = before >= LATE * kept;
        if (late
            && run.words() <= LONGEST_AUTHOR
            && isOwnBox(at)
            && isOfAuthor(run.toString(), small)) {
          run.leaveOut(Part.AUTHOR.reason());
        }
      }
    }
  }

  private boolean isOwnBox(int at) {
    Element block = runs.get(at).block;
    Element box = block.normalName().equals("p") ? block.parent() : block;
    return box != null
        && !isLarge(box)
        && small(new Box(at, at + 1), box) != null
        && runs.get(at).level() == 0
        && runs.get(at).block.closest("li, td, dd, blockquote") == null;
  }

  /** A name is written small nowhere on the page; what opens a sentence is. */
  private boolean isOfAuthor(String text, Set<String> small) {
    if (!OF_AUTHOR.matcher(text).find()) {
      return false;
    }
    String first = Words.lower(text).get(0);
    return FIRST_PERSON.contains(first) || !small.contains(first);
  }

  private Set<String> writtenSmall() {
    Set<String> small = new HashSet<>();
    for (Run run : runs) {
      Words.of(run.toString()).stream()
          .filter(word -> Character.isLowerCase(word.codePointAt(0)))
          .forEach(small::add);
    }
    return small;
  }
}
