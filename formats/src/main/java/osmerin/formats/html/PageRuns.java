package osmerin.formats.html;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/** Walks through a page once; deep pages do not exhaust the stack. */
final class PageRuns implements NodeVisitor {
  private static final Set<String> NO_TEXT =
      Set.of(
          "script",
          "style",
          "noscript",
          "template",
          "svg",
          "iframe",
          "object",
          "embed",
          "canvas",
          "math",
          "head",
          "audio",
          "video",
          "map");

  private final List<Run> runs = new ArrayList<>();
  private final Map<Node, String> reasons = new HashMap<>();
  private final double most;
  private Run open;
  private int links;
  private int silent;

  /**
   * The runs of text below an element.
   *
   * @param mostOfIt a part with more of all words, 0–1, is never left out by its name
   */
  static List<Run> of(Element body, double mostOfIt) {
    PageRuns walk = new PageRuns(body, mostOfIt * words(body));
    NodeTraversor.traverse(walk, body);
    walk.end();
    return walk.runs;
  }

  private PageRuns(Element body, double most) {
    this.most = most;
    open = new Run(body, null);
  }

  @Override
  public void head(Node node, int depth) {
    if (node instanceof TextNode text) {
      add(text.getWholeText());
    } else if (node instanceof Element element) {
      enter(element);
    }
  }

  private void add(String text) {
    if (silent == 0) {
      open.text.append(text);
      if (links > 0) {
        open.linked.append(text);
      }
    }
  }

  private void enter(Element element) {
    if (NO_TEXT.contains(element.normalName())) {
      silent++;
    }
    if (element.normalName().equals("a")) {
      links++;
    }
    String above = element.parent() == null ? null : reasons.get(element.parent());
    String reason = above != null ? above : reason(element);
    if (reason != null) {
      reasons.put(element, reason);
    }
    if (element.normalName().equals("br")) {
      add("\n");
    } else if (element.isBlock() || reason != null && above == null) {
      next(element, reason);
    }
  }

  private @Nullable String reason(Element element) {
    String reason = LeftOut.of(element);
    return reason == null || words(element) > most ? null : reason;
  }

  @Override
  public void tail(Node node, int depth) {
    if (!(node instanceof Element element)) {
      return;
    }
    if (NO_TEXT.contains(element.normalName())) {
      silent--;
    }
    if (element.normalName().equals("a")) {
      links--;
    }
    Element parent = element.parent();
    if (parent != null && (element.isBlock() || reasons.containsKey(element))) {
      next(parent, reasons.get(parent));
    }
  }

  private void next(Element block, @Nullable String reason) {
    end();
    open = new Run(block, reason);
  }

  private static int words(Element element) {
    return Words.count(element.text());
  }

  private void end() {
    String text = Run.clean(open.text.toString());
    if (!text.isEmpty() && Words.count(text) > 0) {
      open.text.setLength(0);
      open.text.append(text);
      runs.add(open);
    }
  }
}
