package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.List;

/**
 * A page as it was read: every run of text, with what of it counts and why the rest does not.
 *
 * @param name its address, or the file it lies in
 */
public record ReadPage(String name, String title, List<PageBlock> blocks, PageSigns signs) {
  /**
   * A sentence of the kept text.
   *
   * @param number from 1
   * @param kind of the block it stands in
   * @param place where it begins, 0–1 of the kept words
   */
  public record Sentence(int number, String text, PageBlock.Kind kind, double place) {
    boolean isHeading() {
      return kind == PageBlock.Kind.HEADING;
    }

    /** Whether it is written out; code is not. */
    boolean isWriting() {
      return kind != PageBlock.Kind.CODE;
    }
  }

  public ReadPage {
    blocks = List.copyOf(blocks);
  }

  /** What counts, in order. */
  public List<PageBlock> kept() {
    return blocks.stream().filter(PageBlock::isKept).toList();
  }

  public int keptWords() {
    return kept().stream().mapToInt(PageBlock::words).sum();
  }

  /** The part of its words that counts, 0–1; 0 for a page without words. */
  public double keptShare() {
    int all = blocks.stream().mapToInt(PageBlock::words).sum();
    return all == 0 ? 0 : (double) keptWords() / all;
  }

  /** Headings that count. */
  public List<String> headings() {
    return kept().stream().filter(PageBlock::isHeading).map(PageBlock::text).toList();
  }

  /** The sentences of the kept text; a heading is one, and so are lines of code. */
  public List<Sentence> sentences() {
    List<Sentence> sentences = new ArrayList<>();
    int all = Math.max(1, keptWords());
    int before = 0;
    for (PageBlock block : kept()) {
      double place = (double) before / all;
      boolean whole = block.isHeading() || block.kind() == PageBlock.Kind.CODE;
      List<String> texts = whole ? List.of(block.text()) : Sentences.of(block.text());
      for (String text : texts) {
        sentences.add(new Sentence(sentences.size() + 1, text, block.kind(), place));
      }
      before += block.words();
    }
    return sentences;
  }

  /** Cut down to what counts. */
  public RankingPage ranking() {
    return new RankingPage(
        name,
        title,
        headings(),
        kept().stream().filter(block -> !block.isHeading()).map(PageBlock::text).toList());
  }
}
