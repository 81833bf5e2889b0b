package osmerin.core.evidence;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

  /** A page with more words is no article; it would drown all others. */
  public static final int MOST_WORDS = 50_000;

  public ReadPage {
    blocks = List.copyOf(blocks);
  }

  /** The same page with one of its blocks, from 0, put in or out by a person. */
  public ReadPage put(int block, boolean in) {
    List<PageBlock> now = new ArrayList<>(blocks);
    now.set(block, now.get(block).put(in));
    return new ReadPage(name, title, now, signs);
  }

  /**
   * The same page with what a person decided about blocks of an earlier reading: a block of the
   * same text is put in or out as it was then.
   */
  public ReadPage decidedAs(ReadPage earlier) {
    Map<String, Boolean> decided = new HashMap<>();
    for (PageBlock block : earlier.blocks()) {
      if (block.byHand() != null) {
        decided.put(block.text(), block.byHand());
      }
    }
    List<PageBlock> now =
        blocks.stream()
            .map(b -> decided.containsKey(b.text()) ? b.put(decided.get(b.text())) : b)
            .toList();
    return new ReadPage(name, title, now, signs);
  }

  /** What counts, in order. */
  public List<PageBlock> kept() {
    return blocks.stream().filter(PageBlock::isKept).toList();
  }

  public int keptWords() {
    return kept().stream().mapToInt(PageBlock::words).sum();
  }

  /** Why nothing can be drawn from it, "has no text."; empty when something can. */
  public Optional<String> fault() {
    int words = keptWords();
    if (words == 0) {
      return Optional.of("has no text.");
    }
    return words > MOST_WORDS
        ? Optional.of("has more than 50,000 words, which no article has.")
        : Optional.empty();
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
      for (String text : sentencesOf(block)) {
        sentences.add(new Sentence(sentences.size() + 1, text, block.kind(), place));
      }
      before += block.words();
    }
    return sentences;
  }

  /** The sentences of a block; a heading is one, and so are lines of code. */
  public static List<String> sentencesOf(PageBlock block) {
    boolean whole = block.isHeading() || block.kind() == PageBlock.Kind.CODE;
    return whole ? List.of(block.text()) : Sentences.of(block.text());
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
