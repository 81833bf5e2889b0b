package osmerin.app.platform.web;

import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The line at the foot of the page that says what happened. */
public final class Foot {
  private static final String ATTRIBUTE = "foot";

  private Foot() {}

  /** Says it on the page that is shown next. */
  public static void say(RedirectAttributes to, String what) {
    to.addFlashAttribute(ATTRIBUTE, what);
  }
}
