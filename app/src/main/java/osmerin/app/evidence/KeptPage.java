package osmerin.app.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.ReadPage;
import osmerin.core.keyword.PageAddress;

/**
 * A page of evidence.
 *
 * @param position from 1
 * @param leftOut whether a person left it out, so that nothing is drawn from it
 * @param kind null for a page of before kinds were read
 */
public record KeptPage(
    int position, PageOrigin origin, boolean leftOut, ReadPage read, PageKind.@Nullable Read kind) {

  /** A page as it was brought. */
  static KeptPage of(int position, PageOrigin origin, ReadPage read) {
    return new KeptPage(position, origin, false, read, PageKind.of(read));
  }

  KeptPage at(int place) {
    return new KeptPage(place, origin, leftOut, read, kind);
  }

  KeptPage leftOut(boolean out) {
    return new KeptPage(position, origin, out, read, kind);
  }

  /** With what a person decided about the same page before. */
  KeptPage decidedAs(KeptPage earlier) {
    ReadPage decided = read.decidedAs(earlier.read);
    return new KeptPage(position, origin, earlier.leftOut, decided, PageKind.of(decided));
  }

  /** With a block put in or out by a person; its kind follows. */
  KeptPage put(int block, boolean in) {
    ReadPage put = read.put(block, in);
    return new KeptPage(position, origin, leftOut, put, PageKind.of(put));
  }

  /** Where it comes from, in a word or two: its host, or "pasted". */
  public String source() {
    return PageAddress.of(hasAddress() ? read.name() : "")
        .map(PageAddress::host)
        .orElse(origin.label());
  }

  /** Whether its name can be opened in a browser. */
  public boolean hasAddress() {
    return read.name().matches("https?://\\S+");
  }

  /**
   * A block with where it stands.
   *
   * @param index from 0 in the page
   * @param sentence the number of its first sentence in the kept text, 0 when it is not kept
   */
  public record Numbered(int index, int sentence, PageBlock block) {
    /** The numbers of its sentences, none when it is not kept. */
    public List<Integer> sentences() {
      int count = block.isKept() ? ReadPage.sentencesOf(block).size() : 0;
      return IntStream.range(sentence, sentence + count).boxed().toList();
    }
  }

  /** Every block with its place. */
  public List<Numbered> numbered() {
    List<Numbered> numbered = new ArrayList<>();
    int next = 1;
    for (int i = 0; i < read.blocks().size(); i++) {
      PageBlock block = read.blocks().get(i);
      numbered.add(new Numbered(i, block.isKept() ? next : 0, block));
      next += numbered.get(i).sentences().size();
    }
    return numbered;
  }
}
