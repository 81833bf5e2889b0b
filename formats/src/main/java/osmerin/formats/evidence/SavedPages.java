package osmerin.formats.evidence;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import osmerin.core.evidence.ReadPage;
import osmerin.formats.html.PageReader;
import osmerin.formats.limits.Inflating;
import osmerin.formats.text.DecodedText;
import osmerin.formats.text.UnreadableFileException;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * Web pages that were saved: a folder of them, an archive, or one.
 *
 * @param pages those with text, in the order of the files
 * @param passedOver one sentence for each file that was not read, with the reason
 */
public record SavedPages(List<ReadPage> pages, List<String> passedOver) {
  /** A larger file is no page that anybody reads. */
  private static final int LARGEST = 20 << 20;

  private static final int MOST = 200;
  private static final int MOST_ENTRIES = 10_000;

  public SavedPages {
    pages = List.copyOf(pages);
    passedOver = List.copyOf(passedOver);
  }

  /** What was read so far. */
  private static final class Reading {
    private final List<ReadPage> pages = new ArrayList<>();
    private final List<String> passedOver = new ArrayList<>();
    private final Set<String> names = new HashSet<>();

    boolean isFull() {
      return pages.size() == MOST;
    }

    void add(String name, byte[] bytes) {
      if (isFull()) {
        passedOver.add(name + ": only the first %s pages are read.".formatted(MOST));
      } else if (bytes.length > LARGEST) {
        passedOver.add(name + ": larger than 20 MB, which no page is.");
      } else {
        read(name, bytes);
      }
    }

    private void read(String name, byte[] bytes) {
      try {
        ReadPage page = PageReader.read(ownName(name), DecodedText.of(bytes).text());
        page.fault()
            .ifPresentOrElse(why -> passedOver.add(name + ": " + why), () -> pages.add(page));
      } catch (UnreadableFileException e) {
        passedOver.add(name + ": " + e.getMessage());
      }
    }

    /** Points name the page that makes them, so no two pages have one name. */
    private String ownName(String name) {
      String own = name;
      for (int turn = 2; names.contains(own); turn++) {
        own = "%s (%s)".formatted(name, turn);
      }
      names.add(own);
      return own;
    }

    SavedPages of(String whole) {
      if (pages.isEmpty()) {
        throw new UnreadableFileException(
            Fault.EMPTY, whole + ": no page can be read. " + String.join(" ", passedOver));
      }
      return new SavedPages(pages, passedOver);
    }
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
          Fault.EMPTY, folder + " contains no page: no file that ends in .html or .htm.");
    }
    Reading reading = new Reading();
    for (Path file : files) {
      try (InputStream in = Files.newInputStream(file)) {
        reading.add(file.getFileName().toString(), in.readNBytes(LARGEST + 1));
      }
    }
    return reading.of(folder.toString());
  }

  /**
   * Reads a file that was uploaded: one page, or a ZIP archive of pages.
   *
   * @throws UnreadableFileException when it is neither, or holds no page with text
   */
  public static SavedPages ofUpload(String name, byte[] bytes) {
    Reading reading = new Reading();
    if (bytes.length > 1 && bytes[0] == 'P' && bytes[1] == 'K') {
      readArchive(bytes, reading);
    } else if (isPage(name)) {
      reading.add(name, bytes);
    } else {
      throw new UnreadableFileException(
          Fault.BROKEN, "Upload pages saved as .html, or a .zip of them.");
    }
    return reading.of(name);
  }

  private static void readArchive(byte[] bytes, Reading reading) {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      InputStream counted = new Inflating(zip, bytes.length);
      int entries = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (++entries > MOST_ENTRIES) {
          throw new UnreadableFileException(
              Fault.BROKEN, "The archive has more than 10,000 files. Split it.");
        }
        if (isPage(entry) && !reading.isFull()) {
          reading.add(fileName(entry), counted.readNBytes(LARGEST + 1));
        }
        counted.transferTo(OutputStream.nullOutputStream());
      }
    } catch (IOException | IllegalArgumentException e) {
      throw new UnreadableFileException(
          Fault.BROKEN, "The archive cannot be read (" + e.getMessage() + ").");
    }
  }

  private static boolean isPage(ZipEntry entry) {
    return !entry.isDirectory()
        && !entry.getName().startsWith("__MACOSX/")
        && !fileName(entry).startsWith(".")
        && isPage(entry.getName());
  }

  /** Folders say nothing about a page, and may try to lead out of the archive. */
  private static String fileName(ZipEntry entry) {
    return entry.getName().replaceFirst("^.*[/\\\\]", "");
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(Files::isRegularFile)
          .filter(file -> isPage(file.getFileName().toString()))
          .sorted()
          .toList();
    }
  }

  private static boolean isPage(String name) {
    return name.toLowerCase(Locale.ROOT).matches("(?s).*\\.x?html?");
  }
}
