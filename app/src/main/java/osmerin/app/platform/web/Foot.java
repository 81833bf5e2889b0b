package osmerin.app.platform.web;

import org.jspecify.annotations.Nullable;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The line at the foot of the page that says what happened and offers to undo it. */
public final class Foot {
  private static final String WORDS = "foot";
  private static final String UNDO = "footUndo";

  private Foot() {}

  /** Says it on the page that is shown next. */
  static void say(RedirectAttributes to, String what) {
    to.addFlashAttribute(WORDS, what);
    Long undo = offered();
    if (undo != null) {
      to.addFlashAttribute(UNDO, undo);
    }
  }

  /** The history entry that the current request made and that can be taken back, if any. */
  public static @Nullable Long offered() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request == null
        ? null
        : (Long) request.getAttribute(UNDO, RequestAttributes.SCOPE_REQUEST);
  }

  /** Offers to take back a history entry, with what is said next; without a request, nothing. */
  public static void offerUndo(long entry) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(UNDO, entry, RequestAttributes.SCOPE_REQUEST);
    }
  }
}
