package osmerin.app.platform.web;

/** Something a person asked for that cannot be done as things stand; the message says why. */
public class RefusedException extends RuntimeException {
  private static final long serialVersionUID = 1;

  public RefusedException(String message) {
    super(message);
  }
}
