package osmerin.core.draft;

import java.util.List;
import java.util.Optional;
import osmerin.core.text.Words;

/**
 * A draft as the check reads it: headings and text in order.
 *
 * @param description what a search result says of it; empty where the draft has none
 */
public record DraftDocument(
    List<Block> blocks, Optional<String> description, List<Picture> pictures, List<Link> links) {
  /** A piece of a draft. */
  public sealed interface Block permits Heading, Text {
    /** The words, without markup. */
    String text();

    /** The line of the draft on which it begins, 1-based. */
    int line();
  }

  /** A heading; level 1–6. */
  public record Heading(int level, String text, int line) implements Block {}

  /** A paragraph, list item, quotation or table cell. */
  public record Text(String text, int line) implements Block {}

  /**
   * A picture.
   *
   * @param alt its alternative text, may be empty
   */
  public record Picture(String alt, String address, int line) {}

  /** A link with the words that lead there. */
  public record Link(String text, String address, int line) {}

  public DraftDocument {
    blocks = List.copyOf(blocks);
    pictures = List.copyOf(pictures);
    links = List.copyOf(links);
  }

  /** One of headings and text alone. */
  public DraftDocument(List<Block> blocks) {
    this(blocks, Optional.empty(), List.of(), List.of());
  }

  /** The same with a description from elsewhere, which wins over its own. */
  public DraftDocument described(String text) {
    return text.isBlank()
        ? this
        : new DraftDocument(blocks, Optional.of(text.strip()), pictures, links);
  }

  /** All headings in order. */
  public List<Heading> headings() {
    return blocks.stream().filter(Heading.class::isInstance).map(Heading.class::cast).toList();
  }

  /** The text of the first heading of level 1. */
  public Optional<String> title() {
    return headings().stream().filter(h -> h.level() == 1).map(Heading::text).findFirst();
  }

  /** Words of text and of headings below the title. */
  public int words() {
    return blocks.stream()
        .filter(block -> !(block instanceof Heading h && h.level() == 1))
        .mapToInt(block -> Words.count(block.text()))
        .sum();
  }

  /** The first so many words of running text. */
  public String opening(int words) {
    List<String> all =
        blocks.stream()
            .filter(Text.class::isInstance)
            .flatMap(block -> Words.of(block.text()).stream())
            .limit(words)
            .toList();
    return String.join(" ", all);
  }
}
