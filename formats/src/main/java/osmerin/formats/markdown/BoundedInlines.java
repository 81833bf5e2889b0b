package osmerin.formats.markdown;

import org.commonmark.internal.InlineParserImpl;
import org.commonmark.node.Node;
import org.commonmark.node.Text;
import org.commonmark.parser.InlineParser;
import org.commonmark.parser.InlineParserContext;
import org.commonmark.parser.SourceLines;
import osmerin.formats.limits.Limits;

/**
 * Reads emphasis, links and tags of one text, as long as that costs little. Each sign may be looked
 * up against the whole of its block, so a block costs its signs times its characters at most; a
 * block beyond that, or beyond what is left for the text, stands as it was typed.
 */
final class BoundedInlines implements InlineParser {
  private static final String SIGNS = "*_[]!<&`\\";

  private final InlineParser parser;
  private final Excess excess;
  private long left = Limits.MARKDOWN_WORK;

  BoundedInlines(InlineParserContext context, Excess excess) {
    this.parser = new InlineParserImpl(context);
    this.excess = excess;
  }

  @Override
  public void parse(SourceLines lines, Node block) {
    String content = lines.getContent();
    long signs = content.chars().filter(sign -> SIGNS.indexOf(sign) >= 0).count();
    long work = signs * content.length();
    if (signs > Limits.MARKDOWN_SIGNS || work > left) {
      block.appendChild(new Text(content));
      excess.add(Excess.BLOCK);
    } else {
      left -= work;
      parser.parse(lines, block);
    }
  }
}
