package osmerin.formats.inventory;

import java.util.List;

/**
 * What a file says is live.
 *
 * @param pages in the file's order, each address once
 * @param parts addresses of further sitemaps that an index names
 * @param problems what could not be imported
 */
public record InventoryReading(List<LivePage> pages, List<String> parts, List<Problem> problems) {
  /**
   * Something that was left out.
   *
   * @param where a line, an entry or an address
   */
  public record Problem(String where, String reason) {}

  public InventoryReading {
    pages = List.copyOf(pages);
    parts = List.copyOf(parts);
    problems = List.copyOf(problems);
  }
}
