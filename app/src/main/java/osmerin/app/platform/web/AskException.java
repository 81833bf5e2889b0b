package osmerin.app.platform.web;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something is asked before it is done. Nothing was stored.
 *
 * @see Errors the page that asks, and sends the form again with {@link #set} if wanted
 */
public final class AskException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient List<String> points;
  private final String anyway;
  private final transient @Nullable Instead instead;
  private final transient Answer answer;

  /**
   * Another way.
   *
   * @param label of the button: "Use Fri 4 Dec"
   * @param fields of the form that are set differently
   */
  public record Instead(String label, Map<String, String> fields) {}

  /** What is sent when the answer is yes. */
  private record Answer(Map<String, String> set, boolean withReason) {
    private static Answer setting(String field) {
      return new Answer(Map.of(field, "true"), false);
    }
  }

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
    this(question, points, anyway, instead, Answer.setting("anyway"));
  }

  private AskException(
      String question,
      List<String> points,
      String anyway,
      @Nullable Instead instead,
      Answer answer) {
    super(question);
    this.instead = instead;
    this.points = List.copyOf(points);
    this.anyway = anyway;
    this.answer = answer;
  }

  /** One whose answer sets another field than {@code anyway}. */
  public static AskException setting(
      String question, List<String> points, String anyway, String field) {
    return new AskException(question, points, anyway, null, Answer.setting(field));
  }

  /** One that is done only with a reason, which is sent as {@code reason}. */
  public static AskException forReason(String question, List<String> points, String anyway) {
    return new AskException(question, points, anyway, null, new Answer(Map.of(), true));
  }

  /** The fields that are set when the form is sent again. */
  public Map<String, String> set() {
    return answer.set();
  }

  public boolean isForReason() {
    return answer.withReason();
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
