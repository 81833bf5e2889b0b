package osmerin.app.platform.security;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SimpleUrlAuthenticationFailureHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import osmerin.app.platform.web.InputGuard;

/** Sign-in by form, a token on every change, and a page that loads nothing from elsewhere. */
@Configuration
class SecurityConfig {
  private static final String CONTENT_SECURITY_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; connect-src 'self';"
          + " img-src 'self' data:; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

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
    "/mail/*",
    "/invitation/*",
    "/by-link/**",
    "/error",
    "/css/**",
    "/{version:v\\d+}/js/**",
    "/fonts/**",
    "/webjars/**",
    "/favicon.svg"
  };

  @Bean
  SecurityFilterChain chain(
      HttpSecurity http, SignInGuard guard, UserDetailsService people, PasswordEncoder passwords)
      throws Exception {
    return http.addFilterAfter(new InputGuard(), HeaderWriterFilter.class)
        .addFilterBefore(new SignInGuardFilter(guard), UsernamePasswordAuthenticationFilter.class)
        .authenticationProvider(provider(people, passwords))
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
                    .failureHandler(wrong()))
        .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
        .requestCache(cache -> cache.requestCache(new PageAfterSignIn()))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .exceptionHandling(
            errors ->
                errors
                    .defaultAuthenticationEntryPointFor(
                        (request, response, e) -> {
                          response.setStatus(HttpStatus.UNAUTHORIZED.value());
                          response.setHeader("HX-Redirect", "/sign-in");
                        },
                        PageAfterSignIn.PART_OF_A_PAGE)
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
    PageAfterSignIn asked = new PageAfterSignIn();
    leadOn.setRequestCache(asked);
    return (request, response, person) -> {
      guard.succeeded(request.getParameter("login"), request.getRemoteAddr());
      asked.removeRequest(request, response);
      leadOn.onAuthenticationSuccess(request, response, person);
    };
  }

  /** A token in a cookie of its own: a form can be shown to whoever has no session. */
  private static CookieCsrfTokenRepository tokens() {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName("osmerin-form");
    tokens.setCookieCustomizer(cookie -> cookie.httpOnly(true).sameSite("Lax"));
    return tokens;
  }

  private static AuthenticationFailureHandler wrong() {
    SimpleUrlAuthenticationFailureHandler handler =
        new SimpleUrlAuthenticationFailureHandler("/sign-in?wrong");
    handler.setAllowSessionCreation(false);
    return handler;
  }

  /** Who has signed in is kept without the hash of the password that proved it. */
  private static AuthenticationProvider provider(
      UserDetailsService people, PasswordEncoder passwords) {
    DaoAuthenticationProvider provider =
        new DaoAuthenticationProvider(people) {
          @Override
          protected Authentication createSuccessAuthentication(
              Object principal, Authentication proof, UserDetails person) {
            SignedIn kept = ((SignedIn) person).withoutHash();
            return super.createSuccessAuthentication(kept, proof, kept);
          }
        };
    provider.setPasswordEncoder(passwords);
    return provider;
  }
}
