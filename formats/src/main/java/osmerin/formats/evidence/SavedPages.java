package osmerin.formats.evidence;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * Web pages that were saved into a folder.
 *
 * @param pages those with text, by the names of their files
 * @param passedOver one sentence for each file that was not read, with the reason
 */
public record SavedPages(List<ReadPage> pages, List<String> passedOver) {
  /** A larger file is no page that anybody reads. */
  private static final long LARGEST = 20L << 20;

  private static final int MOST = 200;

  public SavedPages {
    pages = List.copyOf(pages);
    passedOver = List.copyOf(passedOver);
  }

  /**
   * Reads the files of a folder that end in .html, .htm or .xhtml.
   *
   * @throws UnreadableFileException when there is none, or none with text
   */
  public static SavedPages of(Path folder) throws IOException {
    List<Path> files = files(folder);
    if (files.isEmpty()) {
      throw new UnreadableFileException(
          Fault.EMPTY, folder + " holds no page: no file that ends in .html or .htm.");
    }
    List<ReadPage> pages = new ArrayList<>();
    List<String> passedOver = new ArrayList<>();
    for (Path file : files) {
      String name = file.getFileName().toString();
      if (pages.size() == MOST) {
        passedOver.add(name + ": only the first %s pages are read.".formatted(MOST));
      } else if (Files.size(file) > LARGEST) {
        passedOver.add(name + ": larger than 20 MB, which no page is.");
      } else {
        ReadPage page = PageReader.read(name, DecodedText.of(Files.readAllBytes(file)).text());
        if (page.keptWords() == 0) {
          passedOver.add(name + ": has no text.");
        } else {
          pages.add(page);
        }
      }
    }
    if (pages.isEmpty()) {
      throw new UnreadableFileException(
          Fault.EMPTY, folder + ": no page can be read. " + String.join(" ", passedOver));
    }
    return new SavedPages(pages, passedOver);
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(Files::isRegularFile).filter(SavedPages::isPage).sorted().toList();
    }
  }

  private static boolean isPage(Path file) {
    return file.getFileName().toString().toLowerCase(Locale.ROOT).matches(".*\\.x?html?");
  }
}
