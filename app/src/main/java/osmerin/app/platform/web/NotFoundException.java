package osmerin.app.platform.web;

/** What was asked for is not there, or not for the person who asks. */
public final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1;

  public NotFoundException(String thing, Object id) {
    super(thing + " " + id + " is not there");
  }
}
