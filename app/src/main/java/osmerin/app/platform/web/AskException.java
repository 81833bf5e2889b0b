package osmerin.app.platform.web;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something is asked before it is done. Nothing was stored.
 *
 * @see Errors the page that asks, and sends the form again with {@code anyway} if wanted
 */
public final class AskException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient List<String> points;
  private final String anyway;
  private final transient @Nullable Instead instead;

  /**
   * Another way.
   *
   * @param label of the button: "Use Fri 4 Dec"
   * @param fields of the form that are set differently
   */
  public record Instead(String label, Map<String, String> fields) {}

  /**
   * @param question a sentence or two
   * @param points what it is about, one by one
   * @param anyway the button that does it: "Move to Ready anyway"
   */
  public AskException(String question, List<String> points, String anyway) {
    this(question, points, anyway, null);
  }

  /**
   * The same with another way, which is proposed first.
   *
   * @param instead null when there is none
   */
  public AskException(
      String question, List<String> points, String anyway, @Nullable Instead instead) {
    super(question);
    this.instead = instead;
    this.points = List.copyOf(points);
    this.anyway = anyway;
  }

  public List<String> points() {
    return points;
  }

  public @Nullable Instead instead() {
    return instead;
  }

  public String anyway() {
    return anyway;
  }
}
