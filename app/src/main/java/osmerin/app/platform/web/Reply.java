package osmerin.app.platform.web;

import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * How a handler answers: with a page, whose model it fills, or by leading to another page, on which
 * something is said. A parameter of handlers.
 */
public final class Reply {
  private final Model model;
  private final RedirectAttributes next;
  private final HttpServletResponse response;

  Reply(Model model, RedirectAttributes next, HttpServletResponse response) {
    this.model = model;
    this.next = next;
    this.response = response;
  }

  /** Of the page that is shown now. */
  public Model model() {
    return model;
  }

  public HttpServletResponse response() {
    return response;
  }

  /** Gives the page that is shown now something to show. */
  public Reply with(String name, @Nullable Object value) {
    model.addAttribute(name, value);
    return this;
  }

  /** Shows a page that says why something was not done. */
  public Reply refuse(RefusedException why) {
    return refuse(why.getMessage());
  }

  /** Shows a page that says why something was not done. */
  public Reply refuse(@Nullable String why) {
    return status(HttpStatus.UNPROCESSABLE_ENTITY).with("fault", why);
  }

  /** Shows a page with another status. */
  public Reply status(HttpStatus status) {
    response.setStatus(status.value());
    return this;
  }

  /** Says something at the foot of the page that is led to. */
  public void say(String what) {
    Foot.say(next, what);
  }

  /** Gives the page that is led to something to show. */
  public void next(String name, @Nullable Object value) {
    next.addFlashAttribute(name, value);
  }
}
