package osmerin.app.demo;

import java.util.List;
import java.util.Random;
import osmerin.core.worth.Chances;
import osmerin.core.worth.PageOne;

/**
 * Where the demo's live articles stand, as a rank tracker would export it. Whether one is on page
 * one is drawn from chances of the site's own, which are neither those as shipped nor told to
 * anybody.
 */
final class DemoPositions {
  private static final Chances TRUE_CHANCES = new Chances(17, 12);

  private DemoPositions() {}

  /** A live article. */
  record Standing(String primaryKeyword, double difficulty, String address) {}

  /**
   * The file; an article that made it stays on page one from file to file, though not in its place.
   *
   * @param month a number of its own for each file
   */
  static String csv(List<Standing> articles, int month) {
    StringBuilder file = new StringBuilder("Keyword,Position,Page\n");
    for (Standing article : articles) {
      Random fate = new Random(article.primaryKeyword().hashCode());
      fate.nextDouble();
      boolean onPageOne = fate.nextDouble() < TRUE_CHANCES.at(article.difficulty());
      Random now = new Random(article.primaryKeyword().hashCode() * 31L + month);
      now.nextDouble();
      int position = onPageOne ? 1 + now.nextInt(PageOne.LAST) : PageOne.LAST + 1 + now.nextInt(40);
      file.append(article.primaryKeyword())
          .append(',')
          .append(position)
          .append(',')
          .append(article.address())
          .append('\n');
    }
    return file.toString();
  }
}
