package osmerin.app.platform.security;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page; the form itself is answered by Spring Security. */
@Controller
class SignInController {
  @GetMapping("/sign-in")
  String page() {
    return "sign-in";
  }
}
