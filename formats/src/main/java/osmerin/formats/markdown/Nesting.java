package osmerin.formats.markdown;

import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.node.Heading;
import org.commonmark.node.Node;
import org.commonmark.node.Paragraph;
import org.commonmark.node.Text;
import osmerin.formats.limits.Limits;

/**
 * How deep nodes stand within each other. Readers of a tree go as deep, and so does their stack.
 */
final class Nesting {
  private Nesting() {}

  /** Puts each block whose spans are too deep back to the letters it was typed with. */
  static Node flattened(Node document, String markdown) {
    Node at = document;
    while (at != null) {
      if (isOfSpans(at) && depth(at) > Limits.MARKDOWN_DEPTH) {
        flatten(at, markdown);
      }
      if (at.getFirstChild() != null && !isOfSpans(at)) {
        at = at.getFirstChild();
      } else {
        while (at != null && at.getNext() == null) {
          at = at.getParent();
        }
        at = at == null ? null : at.getNext();
      }
    }
    return document;
  }

  private static boolean isOfSpans(Node block) {
    return block instanceof Paragraph || block instanceof Heading || block instanceof TableCell;
  }

  /** Of the deepest node below, without recursion. */
  private static int depth(Node root) {
    int deepest = 0;
    int depth = 0;
    Node at = root;
    while (true) {
      if (at.getFirstChild() != null) {
        at = at.getFirstChild();
        depth++;
        deepest = Math.max(deepest, depth);
      } else {
        while (at != root && at.getNext() == null) {
          at = at.getParent();
          depth--;
        }
        if (at == root) {
          return deepest;
        }
        at = at.getNext();
      }
    }
  }

  private static void flatten(Node block, String markdown) {
    StringBuilder text = new StringBuilder();
    block
        .getSourceSpans()
        .forEach(
            span ->
                text.append(markdown, span.getInputIndex(), span.getInputIndex() + span.getLength())
                    .append(' '));
    while (block.getFirstChild() != null) {
      block.getFirstChild().unlink();
    }
    block.appendChild(new Text(text.toString().strip()));
  }
}
