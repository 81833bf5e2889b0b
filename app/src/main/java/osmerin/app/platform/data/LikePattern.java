package osmerin.app.platform.data;

/** Words as a part of SQL's pattern for {@code like}. */
public final class LikePattern {
  private LikePattern() {}

  /** What the words hold of a pattern's own signs stands for itself. */
  public static String of(String words) {
    return words.strip().replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
  }
}
