package osmerin.app.frame;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;
import osmerin.app.platform.web.InputGuard;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** The page for what was turned away before it came to any route; for programs too. */
@Controller
class ErrorPage implements ErrorController {
  @RequestMapping("/error")
  @Needs(Right.ANYBODY)
  String error(HttpServletRequest request, Model model) {
    model.addAttribute("status", request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE));
    model.addAttribute("fault", request.getAttribute(InputGuard.FAULT));
    return "error";
  }
}
