package osmerin.core.group;

import osmerin.core.meaning.Nearness;

/**
 * How keywords are grouped.
 *
 * @param minShared ranking pages two keywords must share, 1–{@code depth}; default 3
 * @param depth how many of the first ranking pages are looked at, 1–20; default 10
 * @param mode default {@link Mode#LOOSE}
 * @param near how near in meaning two keywords must be where ranking pages do not decide, in
 *     hundredths, {@value #NEAREST_APART}–{@value #MOST_APART}; default 43
 */
public record GroupingSettings(int minShared, int depth, Mode mode, int near) {
  /** The lower end of {@link #near()}: more is put together. */
  public static final int NEAREST_APART = 30;

  /** The upper end of {@link #near()}: more is kept apart. */
  public static final int MOST_APART = 60;

  /** What holds a group together. */
  public enum Mode {
    /** Each member shares enough with a good part of the group. */
    LOOSE,
    /** Each member shares enough with the primary keyword. */
    STRICT
  }

  public static final GroupingSettings DEFAULT = new GroupingSettings(3, 10, Mode.LOOSE);

  /** With the default nearness. */
  public GroupingSettings(int minShared, int depth, Mode mode) {
    this(minShared, depth, mode, Nearness.DEFAULT_HUNDREDTHS);
  }

  public GroupingSettings {
    if (depth < 1 || depth > 20) {
      throw new IllegalArgumentException("depth " + depth + " is not between 1 and 20");
    }
    if (minShared < 1 || minShared > depth) {
      throw new IllegalArgumentException(
          "shared pages " + minShared + " is not between 1 and the depth " + depth);
    }
    if (!isNear(near)) {
      throw new IllegalArgumentException(
          "nearness " + near + " is not between " + NEAREST_APART + " and " + MOST_APART);
    }
  }

  /** Whether a nearness, in hundredths, is within its range. */
  public static boolean isNear(int hundredths) {
    return hundredths >= NEAREST_APART && hundredths <= MOST_APART;
  }

  /** The same with another nearness. */
  public GroupingSettings withNear(int hundredths) {
    return new GroupingSettings(minShared, depth, mode, hundredths);
  }

  /** The least mean nearness that makes a group by meaning, 0–1. */
  public double leastNear() {
    return near / 100.0;
  }

  /** The least likeness that the shared pages stand for, 0–10, where 10 means the same pages. */
  public double least() {
    return 10.0 * minShared / depth;
  }
}
