package osmerin.app.site;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.NotFoundException;

/**
 * The one place that proves that a person may see a site: a controller that asks for a {@link
 * SiteContext} gets the site of the address, or the person is told that there is no such page.
 */
@Configuration
class SiteAccess implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  /** Request attribute under which the frame finds the site. */
  static final String ATTRIBUTE = SiteContext.class.getName();

  private final SiteService sites;

  SiteAccess(SiteService sites) {
    this.sites = sites;
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == SiteContext.class;
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer model,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders) {
    HttpServletRequest http = request.getNativeRequest(HttpServletRequest.class);
    @SuppressWarnings("unchecked")
    Map<String, String> variables =
        (Map<String, String>) http.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    String slug = variables.getOrDefault("site", "");
    SignedIn person = (SignedIn) ((Authentication) http.getUserPrincipal()).getPrincipal();
    SiteContext context =
        sites.findFor(slug, person).orElseThrow(() -> new NotFoundException("site", slug));
    request.setAttribute(ATTRIBUTE, context, RequestAttributes.SCOPE_REQUEST);
    return context;
  }
}
