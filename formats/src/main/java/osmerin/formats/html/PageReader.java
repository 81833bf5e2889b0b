package osmerin.formats.html;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageBlock.Kind;
import osmerin.core.evidence.ReadPage;

/**
 * Reads what a web page says, block by block, and leaves out what belongs to the site around it:
 * menus, footers, notes, related lists, comments. Three things tell: what the markup names a part
 * ({@link LeftOut}), runs of links, and where most of the running text stands. A part that holds
 * more than half of all words is never left out by its name.
 */
public final class PageReader {
  /** So many links one after another are a list of links. */
  private static final int LINKS_IN_A_ROW = 3;

  /** A paragraph of so many words is running text. */
  private static final int RUNNING = 20;

  /** A part with so much of what is left is where the text stands. */
  private static final double MOST_OF_IT = 0.5;

  /** Of the words of a part with the title so many are the text itself. */
  private static final double OF_AROUND = 0.8;

  private static final String OUTSIDE = "outside the text";
  private static final String LINK_LIST = "list of links";

  private PageReader() {}

  /**
   * Reads a page.
   *
   * @param name its address, or the file it lies in
   */
  public static ReadPage read(String name, String html) {
    Document document = Jsoup.parse(html);
    List<Run> runs = runs(document);
    leaveOutLinks(runs);
    int posts = Around.leaveOut(runs);
    leaveOutside(document, runs);
    List<PageBlock> blocks = runs.stream().map(run -> block(kind(run), run)).toList();
    return new ReadPage(
        name, title(document), blocks, Signs.of(document, runs, posts, steps(runs)));
  }

  /** What links to a heading from itself is no part of it. */
  private static PageBlock block(Kind kind, Run run) {
    String text = run.text.toString().strip();
    String bare =
        kind == Kind.HEADING ? text.replaceFirst("\\s*(?:[¶#§🔗]|\\[edit\\])$", "") : text;
    return new PageBlock(kind, bare.isEmpty() ? text : bare, run.leftOut);
  }

  /** Items of the longest numbered list within the text. */
  private static int steps(List<Run> runs) {
    Map<Element, Set<Element>> items = new HashMap<>();
    for (Run run : runs) {
      Element item = run.leftOut == null ? run.block.closest("li") : null;
      if (item != null && item.parent() != null && item.parent().normalName().equals("ol")) {
        items.computeIfAbsent(item.parent(), list -> new HashSet<>()).add(item);
      }
    }
    return items.values().stream().mapToInt(Set::size).max().orElse(0);
  }

  private static String title(Document document) {
    Element first = document.selectFirst("h1");
    return Run.clean(document.title().isBlank() && first != null ? first.text() : document.title());
  }

  private static Kind kind(Run run) {
    if (run.block.closest("pre") != null) {
      return Kind.CODE;
    }
    return switch (run.block.normalName()) {
      case "h1", "h2", "h3", "h4", "h5", "h6" -> Kind.HEADING;
      case "li", "dt", "dd" -> Kind.ITEM;
      case "td", "th" -> Kind.CELL;
      default -> run.block.closest("li") != null ? Kind.ITEM : Kind.PARAGRAPH;
    };
  }

  private static List<Run> runs(Document document) {
    return PageRuns.of(document.body(), MOST_OF_IT);
  }

  private static void leaveOutLinks(List<Run> runs) {
    for (int from = 0; from < runs.size(); ) {
      int to = from;
      while (to < runs.size() && runs.get(to).leftOut == null && runs.get(to).isLink()) {
        to++;
      }
      if (to - from >= LINKS_IN_A_ROW) {
        runs.subList(from, to).forEach(run -> run.leaveOut(LINK_LIST));
      }
      from = Math.max(to, from + 1);
    }
    runs.stream().filter(PageReader::leadsAway).forEach(run -> run.leaveOut(LINK_LIST));
  }

  /** Several links in one line, or a line that is a link to another page and nothing else. */
  private static boolean leadsAway(Run run) {
    if (!run.isKept() || !run.isLink()) {
      return false;
    }
    List<Element> links = run.block.select("a[href]");
    boolean away = links.stream().anyMatch(link -> !link.attr("href").startsWith("#"));
    boolean line = kind(run) == Kind.PARAGRAPH && run.linked.length() >= run.text.length();
    return links.size() > 1 && kind(run) != Kind.HEADING || line && away;
  }

  /** Leaves out what stands outside of the part with most of the text, where there is one. */
  private static void leaveOutside(Document document, List<Run> runs) {
    List<Run> kept = runs.stream().filter(run -> run.leftOut == null).toList();
    Element part = mainPart(document, kept);
    if (part != null) {
      kept.stream()
          .filter(run -> run.block != part && !run.block.parents().contains(part))
          .forEach(run -> run.leftOut = OUTSIDE);
    }
  }

  private static @Nullable Element mainPart(Document document, List<Run> kept) {
    int all = kept.stream().mapToInt(Run::words).sum();
    for (String named : List.of("main, [role=main]", "article")) {
      List<Element> parts = document.select(named);
      if (parts.size() == 1 && within(parts.get(0), kept) >= all * MOST_OF_IT) {
        return parts.get(0);
      }
    }
    return withTitle(densest(kept, all), kept);
  }

  /** The part around it that has the title too, where little else comes with it. */
  private static @Nullable Element withTitle(@Nullable Element part, List<Run> kept) {
    List<Run> titles = kept.stream().filter(run -> run.level() == 1).limit(2).toList();
    if (part == null || titles.size() != 1) {
      return part;
    }
    Element around = part;
    while (around != null && !titles.get(0).isWithin(around)) {
      around = around.parent();
    }
    boolean little = around != null && within(part, kept) >= OF_AROUND * within(around, kept);
    return little ? around : part;
  }

  private static int within(Element part, List<Run> kept) {
    return kept.stream()
        .filter(run -> run.block == part || run.block.parents().contains(part))
        .mapToInt(Run::words)
        .sum();
  }

  /** The smallest part with nearly all of the running text. */
  private static @Nullable Element densest(List<Run> kept, int all) {
    Map<Element, Integer> running = new HashMap<>();
    int total = 0;
    for (Run run : kept) {
      if (run.words() >= RUNNING && !run.isLink()) {
        total += run.words();
        int words = run.words();
        running.merge(run.block, words, Integer::sum);
        run.block.parents().forEach(parent -> running.merge(parent, words, Integer::sum));
      }
    }
    Element best = null;
    for (Map.Entry<Element, Integer> part : running.entrySet()) {
      boolean nearlyAll = part.getValue() >= 0.9 * total && total >= all * 0.3;
      if (nearlyAll && (best == null || part.getKey().parents().contains(best))) {
        best = part.getKey();
      }
    }
    return best;
  }
}
