package osmerin.app.team;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import osmerin.app.site.Needs;
import osmerin.app.site.Right;

/** The sign-in page; the form itself is answered by Spring Security. */
@Controller
class SignInController {
  @GetMapping("/sign-in")
  @Needs(Right.ANYBODY)
  String page() {
    return "sign-in";
  }
}
