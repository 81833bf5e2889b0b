package osmerin.core.evidence;

import java.util.List;
import osmerin.core.text.Words;

/**
 * A page that ranks, cut down to what is written on it.
 *
 * @param headings in order
 * @param blocks paragraphs and list items in order, without menus, footers and adverts
 */
public record RankingPage(
    String address, String title, List<String> headings, List<String> blocks) {
  public RankingPage {
    headings = List.copyOf(headings);
    blocks = List.copyOf(blocks);
  }

  /** Words in headings and text. */
  public int words() {
    return headings.stream().mapToInt(Words::count).sum()
        + blocks.stream().mapToInt(Words::count).sum();
  }
}
