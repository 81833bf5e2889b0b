package osmerin.app.platform.web;

import java.util.List;

/**
 * Which page of a long list is shown.
 *
 * @param page from 1; what lies beyond the last page is the last page
 * @param size rows of a page
 * @param total rows of all pages
 */
public record Paging(int page, int size, long total) {
  /** What people choose from. */
  public static final List<Integer> SIZES = List.of(50, 100, 200);

  public Paging {
    if (size < 1 || total < 0) {
      throw new IllegalArgumentException("pages of " + size + " rows, " + total + " in all");
    }
    page = (int) Math.max(1, Math.min(page, pages(size, total)));
  }

  public long pages() {
    return pages(size, total);
  }

  private static long pages(int size, long total) {
    return Math.max(1, (total + size - 1) / size);
  }

  /** Rows before the page. */
  public int offset() {
    return (page - 1) * size;
  }

  /** The page of a list that is at hand in whole. */
  public <T> List<T> of(List<T> all) {
    return all.subList(Math.min(all.size(), offset()), Math.min(all.size(), offset() + size));
  }
}
