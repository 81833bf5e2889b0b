package osmerin.formats.text;

/**
 * A file that cannot be read as what it should be. The message says what was found and what to do.
 */
public final class UnreadableFileException extends RuntimeException {
  private static final long serialVersionUID = 1;

  /** What is wrong. */
  public enum Fault {
    EMPTY,
    NOT_TEXT,
    BROKEN,
    TOO_LARGE,
    NO_TABLE,
    NO_KEYWORD_COLUMN,
    NO_ADDRESSES
  }

  private final Fault fault;

  public UnreadableFileException(Fault fault, String message) {
    super(message);
    this.fault = fault;
  }

  public Fault fault() {
    return fault;
  }
}
