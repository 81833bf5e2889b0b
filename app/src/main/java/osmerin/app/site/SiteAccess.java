package osmerin.app.site;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import osmerin.app.platform.security.SignedIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.core.article.ReferenceNumber;

/**
 * The one place that proves that a person may see a site and do what a route does. Before any route
 * runs, its {@link Needs} is held against the person's role on the site of the address: whoever has
 * no role there is told that there is no such page; whose role lacks the right, who has it.
 */
@Configuration
class SiteAccess implements HandlerInterceptor, HandlerMethodArgumentResolver, WebMvcConfigurer {
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
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (handler instanceof HandlerMethod method && isOurs(method)) {
      Needs needs = method.getMethodAnnotation(Needs.class);
      if (needs == null) {
        throw new IllegalStateException(method + " states no right");
      }
      if (needs.value().isOfSite()) {
        SiteContext context = enter(request);
        context.require(needs.value());
        if ("GET".equals(request.getMethod())) {
          sites.entered(context);
        }
        request.setAttribute(ATTRIBUTE, context);
      }
    }
    return true;
  }

  private static boolean isOurs(HandlerMethod method) {
    return method.getBeanType().getName().startsWith("osmerin.");
  }

  private SiteContext enter(HttpServletRequest request) {
    @SuppressWarnings("unchecked")
    Map<String, String> variables =
        (Map<String, String>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    String slug = variables.getOrDefault("site", "");
    SignedIn person = (SignedIn) ((Authentication) request.getUserPrincipal()).getPrincipal();
    SiteContext context =
        sites.findFor(slug, person).orElseThrow(() -> new NotFoundException("site", slug));
    requireOwn(context, variables.getOrDefault("number", ""));
    return context;
  }

  /** A reference number with another prefix names an article of another site, or none. */
  private static void requireOwn(SiteContext context, String number) {
    boolean other =
        ReferenceNumber.read(number)
            .filter(typed -> !typed.prefix().equals(context.site().prefix()))
            .isPresent();
    if (other) {
      throw new NotFoundException("article", number);
    }
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
    Object context = request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
    if (context == null) {
      throw new IllegalStateException(parameter.getMethod() + " needs no right of a site");
    }
    return context;
  }
}
