package osmerin.app.platform.web;

import java.lang.reflect.Constructor;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.BeanUtils;
import org.springframework.core.DefaultParameterNameDiscoverer;
import org.springframework.core.MethodParameter;
import org.springframework.core.annotation.SynthesizingMethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.annotation.RequestParamMethodArgumentResolver;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.PathVariableMethodArgumentResolver;

/**
 * Hands handlers what a form sent as a record whose components are {@link RequestParam}s, some
 * {@link PathVariable}s perhaps. Each is read, and refused, just as a parameter of the handler.
 */
@Component
class SentForms implements WebMvcConfigurer, HandlerMethodArgumentResolver {
  private final HandlerMethodArgumentResolver sent = new RequestParamMethodArgumentResolver(false);
  private final HandlerMethodArgumentResolver ofPath = new PathVariableMethodArgumentResolver();
  private final DefaultParameterNameDiscoverer names = new DefaultParameterNameDiscoverer();

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    Class<?> type = parameter.getParameterType();
    return type.isRecord()
        && Arrays.stream(BeanUtils.getResolvableConstructor(type).getParameters())
            .anyMatch(component -> component.isAnnotationPresent(RequestParam.class));
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer answer,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders)
      throws Exception {
    Constructor<?> whole = BeanUtils.getResolvableConstructor(parameter.getParameterType());
    @Nullable Object[] parts = new Object[whole.getParameterCount()];
    for (int i = 0; i < parts.length; i++) {
      MethodParameter part = new SynthesizingMethodParameter(whole, i);
      part.initParameterNameDiscovery(names);
      HandlerMethodArgumentResolver reader = ofPath.supportsParameter(part) ? ofPath : sent;
      parts[i] = reader.resolveArgument(part, answer, request, binders);
    }
    return BeanUtils.instantiateClass(whole, parts);
  }
}
