package osmerin.formats.markdown;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.commonmark.Extension;
import org.commonmark.ext.front.matter.YamlFrontMatterExtension;
import org.commonmark.ext.front.matter.YamlFrontMatterVisitor;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Block;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.Code;
import org.commonmark.node.CustomNode;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.Link;
import org.commonmark.node.ListBlock;
import org.commonmark.node.Node;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.Text;
import org.commonmark.node.ThematicBreak;
import org.commonmark.parser.IncludeSourceSpans;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Entities;
import org.jsoup.safety.Safelist;
import osmerin.core.draft.DraftDocument;
import osmerin.formats.limits.Limits;

/** Drafts in Markdown (CommonMark with tables). */
public final class Markdown {
  private static final List<Extension> EXTENSIONS =
      List.of(TablesExtension.create(), YamlFrontMatterExtension.create());
  private static final List<Extension> WITHOUT_TABLES = List.of(YamlFrontMatterExtension.create());
  private static final HtmlRenderer RENDERER =
      HtmlRenderer.builder().extensions(EXTENSIONS).sanitizeUrls(true).build();
  private static final HtmlRenderer TAGS_AS_TYPED =
      HtmlRenderer.builder().extensions(EXTENSIONS).sanitizeUrls(true).escapeHtml(true).build();
  private static final Safelist SAFE =
      Safelist.relaxed().addTags("hr", "del", "s").preserveRelativeLinks(true);

  private static final Set<Class<? extends Block>> WITHOUT_TAGS =
      Set.of(
          Heading.class,
          ThematicBreak.class,
          FencedCodeBlock.class,
          BlockQuote.class,
          ListBlock.class,
          IndentedCodeBlock.class);

  /** Relative links are held against some address to be looked at; they stay as they were. */
  private static final String SOMEWHERE = "https://somewhere.invalid/";

  private Markdown() {}

  /** The draft as clean HTML: no scripts, styles, forms or foreign frames survive. */
  public static String html(String markdown) {
    return rendered(markdown).html();
  }

  /** The draft as clean HTML, and what of it was more than is read. */
  public static Rendered rendered(String markdown) {
    Excess excess = new Excess();
    Node node = parsed(markdown, excess);
    BoundedText page = new BoundedText(Limits.MARKDOWN_HTML);
    try {
      (excess.has(Excess.TAGS) ? TAGS_AS_TYPED : RENDERER).render(node, page);
    } catch (BoundedText.FullException e) {
      excess.add(Excess.PAGE);
      return new Rendered("<pre>" + Entities.escape(markdown) + "</pre>", excess.sentences());
    }
    String html =
        Jsoup.clean(page.text(), SOMEWHERE, SAFE, new Document.OutputSettings().prettyPrint(false));
    return new Rendered(html, excess.sentences());
  }

  /** The draft as the check reads it. */
  public static DraftDocument draft(String markdown) {
    Node node = parsed(markdown, new Excess());
    BlockCollector collector = new BlockCollector();
    node.accept(collector);
    return new DraftDocument(
        collector.blocks, description(node), collector.pictures, collector.links);
  }

  /** The description that stands above the text, in the lines between two of “---”. */
  private static Optional<String> description(Node node) {
    YamlFrontMatterVisitor front = new YamlFrontMatterVisitor();
    node.accept(front);
    List<String> values = front.getData().getOrDefault("description", List.of());
    return values.isEmpty()
        ? Optional.empty()
        : Optional.of(values.get(0).strip()).filter(text -> !text.isEmpty());
  }

  private static Node parsed(String markdown, Excess excess) {
    boolean tables = TableCells.most(markdown) <= Limits.MARKDOWN_CELLS;
    if (!tables) {
      excess.add(Excess.TABLES);
    }
    Parser.Builder parser =
        Parser.builder()
            .extensions(tables ? EXTENSIONS : WITHOUT_TABLES)
            .includeSourceSpans(IncludeSourceSpans.BLOCKS)
            .maxOpenBlockParsers(Limits.MARKDOWN_DEPTH)
            .inlineParserFactory(context -> new BoundedInlines(context, excess));
    if (Tags.areTooMany(markdown)) {
      excess.add(Excess.TAGS);
      parser.enabledBlockTypes(WITHOUT_TAGS);
    }
    return Nesting.flattened(parser.build().parse(markdown), markdown);
  }

  /** Gathers headings and blocks of text. */
  private static final class BlockCollector extends AbstractVisitor {
    private final List<DraftDocument.Block> blocks = new ArrayList<>();
    private final List<DraftDocument.Picture> pictures = new ArrayList<>();
    private final List<DraftDocument.Link> links = new ArrayList<>();

    @Override
    public void visit(Image image) {
      pictures.add(new DraftDocument.Picture(alt(image), image.getDestination(), line(image)));
      visitChildren(image);
    }

    @Override
    public void visit(Link link) {
      links.add(new DraftDocument.Link(text(link), link.getDestination(), line(link)));
      visitChildren(link);
    }

    @Override
    public void visit(Heading heading) {
      blocks.add(new DraftDocument.Heading(heading.getLevel(), text(heading), line(heading)));
      visitChildren(heading);
    }

    @Override
    public void visit(Paragraph paragraph) {
      addText(paragraph);
    }

    @Override
    public void visit(CustomNode node) {
      if (node instanceof TableCell) {
        addText(node);
      } else {
        visitChildren(node);
      }
    }

    private void addText(Node node) {
      String text = text(node);
      if (!text.isBlank()) {
        blocks.add(new DraftDocument.Text(text, line(node)));
      }
      visitChildren(node);
    }

    private static String alt(Image image) {
      StringBuilder alt = new StringBuilder();
      for (Node part = image.getFirstChild(); part != null; part = part.getNext()) {
        alt.append(text(part));
      }
      return alt.toString();
    }

    private static int line(Node node) {
      Node at = node;
      while (at.getSourceSpans().isEmpty() && at.getParent() != null) {
        at = at.getParent();
      }
      return at.getSourceSpans().isEmpty() ? 1 : at.getSourceSpans().get(0).getLineIndex() + 1;
    }

    private static String text(Node node) {
      StringBuilder text = new StringBuilder();
      node.accept(
          new AbstractVisitor() {
            @Override
            public void visit(Text part) {
              text.append(part.getLiteral());
            }

            @Override
            public void visit(Code code) {
              text.append(code.getLiteral());
            }

            @Override
            public void visit(SoftLineBreak lineBreak) {
              text.append(' ');
            }

            @Override
            public void visit(HardLineBreak lineBreak) {
              text.append(' ');
            }

            /** What a picture is called is no word of the text. */
            @Override
            public void visit(Image image) {
              text.append(' ');
            }
          });
      return text.toString().strip();
    }
  }
}
