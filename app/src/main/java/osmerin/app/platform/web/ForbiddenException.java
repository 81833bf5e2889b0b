package osmerin.app.platform.web;

/** Something that the person's role does not allow; the message says who may. */
public final class ForbiddenException extends RuntimeException {
  private static final long serialVersionUID = 1;

  public ForbiddenException(String message) {
    super(message);
  }
}
