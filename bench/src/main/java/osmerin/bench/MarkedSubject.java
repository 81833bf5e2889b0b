package osmerin.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * Ten untidy pages that rank for one keyword, marked by hand before they were read, with the terms
 * that four of them or more use in one form or another.
 */
record MarkedSubject(String keyword, List<MarkedPage> pages, List<String> terms) {
  private static final int PAGES = 10;

  static MarkedSubject of(String folder, String keyword) {
    return new MarkedSubject(
        keyword,
        IntStream.rangeClosed(1, PAGES)
            .mapToObj(number -> String.format(Locale.ROOT, "%02d.html", number))
            .map(name -> MarkedPage.of(name, read(folder + "/" + name)))
            .toList(),
        read(folder + "/terms.txt").lines().toList());
  }

  private static String read(String name) {
    try (InputStream in = MarkedSubject.class.getResourceAsStream("/untidy-pages/" + name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
