package osmerin.core.group;

/**
 * How keywords are grouped.
 *
 * @param minShared ranking pages two keywords must share, 1–{@code depth}; default 3
 * @param depth how many of the first ranking pages are looked at, 1–20; default 10
 * @param mode default {@link Mode#LOOSE}
 */
public record GroupingSettings(int minShared, int depth, Mode mode) {
  /** What holds a group together. */
  public enum Mode {
    /** Each member shares enough with a good part of the group. */
    LOOSE,
    /** Each member shares enough with the primary keyword. */
    STRICT
  }

  public static final GroupingSettings DEFAULT = new GroupingSettings(3, 10, Mode.LOOSE);

  public GroupingSettings {
    if (depth < 1 || depth > 20) {
      throw new IllegalArgumentException("depth " + depth + " is not between 1 and 20");
    }
    if (minShared < 1 || minShared > depth) {
      throw new IllegalArgumentException(
          "shared pages " + minShared + " is not between 1 and the depth " + depth);
    }
  }

  /** The least likeness that the shared pages stand for, 0–10, where 10 means the same pages. */
  public double least() {
    return 10.0 * minShared / depth;
  }
}
