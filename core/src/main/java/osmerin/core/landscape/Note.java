package osmerin.core.landscape;

/**
 * A name and a figure, or one of them, that stand beside their circle, with a line to it.
 *
 * @param name empty where it stands in the circle
 * @param figure empty where it is unknown
 * @param x the middle of both
 * @param y the base line of the name; the figure follows {@value #LINE} pixels below
 * @param fromX where the line begins, at the circle's edge
 * @param toX where it ends, at the words
 */
public record Note(
    String name,
    String figure,
    double x,
    double y,
    double fromX,
    double fromY,
    double toX,
    double toY) {
  /** Of the name, in pixels. */
  public static final int NAME_SIZE = 13;

  /** Of the figure, in pixels. */
  public static final int FIGURE_SIZE = 12;

  /** From the name's base line to the figure's. */
  public static final int LINE = 15;
}
