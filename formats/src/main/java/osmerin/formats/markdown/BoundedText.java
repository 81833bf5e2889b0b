package osmerin.formats.markdown;

/** Text that grows up to a limit. */
final class BoundedText implements Appendable {
  private final StringBuilder text = new StringBuilder();
  private final int most;

  /**
   * @param most characters
   */
  BoundedText(int most) {
    this.most = most;
  }

  /** Said when more than the limit is added. */
  static final class FullException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  @Override
  public Appendable append(CharSequence more) {
    return append(more, 0, more.length());
  }

  @Override
  public Appendable append(CharSequence more, int from, int to) {
    if (text.length() + to - from > most) {
      throw new FullException();
    }
    text.append(more, from, to);
    return this;
  }

  @Override
  public Appendable append(char one) {
    return append(String.valueOf(one), 0, 1);
  }

  String text() {
    return text.toString();
  }
}
