package osmerin.app.platform.mail;

import java.io.Serializable;

/** A mail in plain text, as it waits to be sent. */
record Letter(String to, String subject, String text) implements Serializable {
  private static final long serialVersionUID = 1;
}
