package osmerin.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A change that is made beside a page (in the drawer, at the foot, in a row) names that page in
 * {@code back} and leads there again, instead of to where the change itself would lead.
 */
@Configuration
class BackTo implements HandlerInterceptor, WebMvcConfigurer {
  private static final String REDIRECT = "redirect:";

  /** Characters of an address. */
  private static final int LONGEST = 2_000;

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView view) {
    boolean leadsOn =
        view != null && view.getViewName() != null && view.getViewName().startsWith(REDIRECT);
    if (leadsOn) {
      String back = request.getParameter("back");
      view.setViewName(isOurs(back) ? REDIRECT + back : view.getViewName());
    }
  }

  /**
   * A path of this application: letters of addresses alone, as many as a header takes; never
   * another host, and nothing that a redirect would expand.
   */
  static boolean isOurs(@Nullable String path) {
    return path != null
        && path.length() <= LONGEST
        && path.matches("/(?![/\\\\])[!-~&&[^\\\\{}]]+");
  }
}
