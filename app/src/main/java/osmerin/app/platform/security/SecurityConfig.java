package osmerin.app.platform.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.savedrequest.SimpleSavedRequest;
import org.springframework.security.web.util.UrlUtils;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/** Sign-in by form, a token on every change, and a page that loads nothing from elsewhere. */
@Configuration
class SecurityConfig {
  private static final String CONTENT_SECURITY_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; connect-src 'self';"
          + " img-src 'self' data:; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  private static final RequestMatcher PART_OF_A_PAGE =
      new RequestHeaderRequestMatcher("HX-Request");

  /** Where Spring's request cache keeps what was asked for. */
  private static final String SAVED_REQUEST = "SPRING_SECURITY_SAVED_REQUEST";

  /**
   * @param rounds the power of two of rounds that a guess costs
   */
  @Bean
  PasswordEncoder passwordEncoder(@Value("${osmerin.password-rounds}") int rounds) {
    return new BCryptPasswordEncoder(rounds);
  }

  private static final String[] FOR_ANYBODY = {
    "/sign-in",
    "/welcome",
    "/forgotten",
    "/password/*",
    "/invitation/*",
    "/error",
    "/css/**",
    "/{version:v\\d+}/js/**",
    "/fonts/**",
    "/webjars/**",
    "/favicon.svg"
  };

  @Bean
  SecurityFilterChain chain(HttpSecurity http, SignInGuard guard) throws Exception {
    return http.addFilterBefore(
            new SignInGuardFilter(guard), UsernamePasswordAuthenticationFilter.class)
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(FOR_ANYBODY)
                    .permitAll()
                    .requestMatchers("/actuator/health/**")
                    .permitAll()
                    .anyRequest()
                    .authenticated())
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .usernameParameter("login")
                    .passwordParameter("password")
                    .successHandler(welcomed(guard))
                    .failureUrl("/sign-in?wrong"))
        .requestCache(cache -> cache.requestCache(wholePages()))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .exceptionHandling(
            errors ->
                errors
                    .defaultAuthenticationEntryPointFor(
                        (request, response, e) -> {
                          response.setStatus(HttpStatus.UNAUTHORIZED.value());
                          response.setHeader("HX-Redirect", "/sign-in");
                        },
                        PART_OF_A_PAGE)
                    .defaultAuthenticationEntryPointFor(
                        new LoginUrlAuthenticationEntryPoint("/sign-in"),
                        AnyRequestMatcher.INSTANCE))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_SECURITY_POLICY))
                    .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
        .build();
  }

  private static AuthenticationSuccessHandler welcomed(SignInGuard guard) {
    SavedRequestAwareAuthenticationSuccessHandler leadOn =
        new SavedRequestAwareAuthenticationSuccessHandler();
    leadOn.setRequestCache(wholePages());
    return (request, response, person) -> {
      guard.succeeded(request.getParameter("login"), request.getRemoteAddr());
      leadOn.onAuthenticationSuccess(request, response, person);
    };
  }

  /** After signing in somebody is led back to a page, never to a part that a page asked for. */
  private static HttpSessionRequestCache wholePages() {
    HttpSessionRequestCache cache = new PageCache();
    cache.setRequestMatcher(request -> "GET".equals(request.getMethod()));
    return cache;
  }

  /** Keeps the page that asked for a part in place of the part. */
  private static final class PageCache extends HttpSessionRequestCache {
    @Override
    public void saveRequest(HttpServletRequest request, HttpServletResponse response) {
      if (PART_OF_A_PAGE.matches(request)) {
        page(request).ifPresent(page -> keep(request, page));
      } else {
        super.saveRequest(request, response);
      }
    }

    private static void keep(HttpServletRequest request, URI page) {
      String address =
          UrlUtils.buildFullRequestUrl(
              request.getScheme(),
              request.getServerName(),
              request.getServerPort(),
              page.getRawPath(),
              page.getRawQuery());
      request.getSession().setAttribute(SAVED_REQUEST, new SimpleSavedRequest(address));
    }

    private static Optional<URI> page(HttpServletRequest request) {
      try {
        return Optional.ofNullable(request.getHeader("HX-Current-URL"))
            .map(URI::create)
            .filter(page -> page.getRawPath() != null);
      } catch (IllegalArgumentException e) {
        return Optional.empty();
      }
    }
  }
}
