package osmerin.formats.html;

import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/** A run of text between two borders of blocks. */
final class Run {
  /** From this part of linked words on a block is a link. */
  private static final double LINKED = 0.7;

  final Element block;
  final StringBuilder text = new StringBuilder();
  final StringBuilder linked = new StringBuilder();
  @Nullable String leftOut;
  private int words = -1;

  Run(Element block, @Nullable String leftOut) {
    this.block = block;
    this.leftOut = leftOut;
  }

  /** Counted once; its text is complete by then. */
  int words() {
    if (words < 0) {
      words = Words.count(text.toString());
    }
    return words;
  }

  /** 1–6 of a heading, else 0. */
  int level() {
    String name = block.normalName();
    return name.matches("h[1-6]") ? name.charAt(1) - '0' : 0;
  }

  boolean isKept() {
    return leftOut == null;
  }

  /** The first reason stands. */
  void leaveOut(String reason) {
    leftOut = leftOut == null ? reason : leftOut;
  }

  boolean isWithin(Element box) {
    for (Element up = block; up != null; up = up.parent()) {
      if (up == box) {
        return true;
      }
    }
    return false;
  }

  @Override
  public String toString() {
    return text.toString();
  }

  boolean isLink() {
    int all = words();
    return all > 0 && Words.count(linked.toString()) >= LINKED * all;
  }

  /**
   * Without control characters, and without marks that turn the direction of what is written: they
   * would turn what stands beside it on a page of ours too.
   */
  static String clean(String text) {
    return text.replaceAll("[\\s\\u00a0]+", " ")
        .replaceAll("[\\p{Cc}\\u061c\\u200e\\u200f\\u202a-\\u202e\\u2066-\\u2069]", "")
        .strip();
  }
}
