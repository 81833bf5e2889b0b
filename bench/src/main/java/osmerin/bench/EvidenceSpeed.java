package osmerin.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageBlock;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.ReadPage;
import osmerin.core.meaning.RememberedMeaning;
import osmerin.formats.evidence.SavedPages;
import osmerin.meaning.SentenceModel;

/** How long twenty pages of 3,000 words take, cut from pages in a folder. */
final class EvidenceSpeed {
  private static final int PAGES = 20;
  private static final int WORDS = 3_000;
  private static final int RUNS = 8;

  private EvidenceSpeed() {}

  /** The first run is cold; the others show what a running application takes. */
  static void run(String folder) throws IOException {
    List<ReadPage> read = SavedPages.of(Path.of(folder)).pages();
    List<ReadPage> pages = new ArrayList<>();
    for (int i = 0; i < PAGES; i++) {
      pages.add(cut(read.get(i % read.size()), "page " + i, i));
    }
    System.out.printf(
        Locale.ENGLISH,
        "%d pages, %,d words%n",
        PAGES,
        pages.stream().mapToInt(ReadPage::keptWords).sum());
    for (int run = 1; run <= RUNS; run++) {
      long begin = System.nanoTime();
      Evidence.of(pages.stream().map(ReadPage::ranking).toList(), List.of());
      long terms = System.nanoTime();
      PagesSay.of(pages);
      System.out.printf(
          Locale.ENGLISH,
          "run %d: length and terms %d ms, headings, questions and points %d ms%n",
          run,
          (terms - begin) / 1_000_000,
          (System.nanoTime() - terms) / 1_000_000);
    }
    meant(pages);
  }

  /**
   * Vectors are computed once and kept; what follows a change of the pages needs no more of them.
   */
  private static void meant(List<ReadPage> pages) {
    RememberedMeaning meaning = new RememberedMeaning(new SentenceModel(), (done, all) -> {});
    for (String how : new String[] {"with vectors computed", "with vectors kept"}) {
      long begin = System.nanoTime();
      int points = PagesSay.of(pages, List.of(), meaning).points().size();
      System.out.printf(
          Locale.ENGLISH,
          "by meaning, %s: %.1f s, %d points%n",
          how,
          (System.nanoTime() - begin) / 1e9,
          points);
    }
  }

  private static ReadPage cut(ReadPage page, String name, int turn) {
    List<PageBlock> blocks = new ArrayList<>();
    int words = 0;
    int size = page.blocks().size();
    for (int i = 0; i < size && words < WORDS; i++) {
      PageBlock block = page.blocks().get((i + turn * 37) % size);
      blocks.add(block);
      words += block.words();
    }
    return new ReadPage(name, page.title(), blocks, page.signs());
  }
}
