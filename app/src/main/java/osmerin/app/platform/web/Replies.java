package osmerin.app.platform.web;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.support.RedirectAttributesModelMap;

/** Hands handlers their {@link Reply}. */
@Component
class Replies implements WebMvcConfigurer, HandlerMethodArgumentResolver {
  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Reply.class;
  }

  @Override
  public Reply resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer answer,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders) {
    ModelAndViewContainer container = Objects.requireNonNull(answer);
    RedirectAttributesModelMap next = new RedirectAttributesModelMap();
    // The model first: once there is one for the next page, the container may hand out that.
    Model model = (Model) container.getModel();
    container.setRedirectModel(next);
    HttpServletResponse response =
        Objects.requireNonNull(request.getNativeResponse(HttpServletResponse.class));
    return new Reply(model, next, response);
  }
}
