package osmerin.formats.markdown;

import java.util.List;

/**
 * A text as a page.
 *
 * @param html clean: no scripts, styles, forms or foreign frames
 * @param excess what of it was too much to be read as Markdown and stands as typed, in sentences;
 *     empty for nearly every text
 */
public record Rendered(String html, List<String> excess) {
  public Rendered {
    excess = List.copyOf(excess);
  }
}
