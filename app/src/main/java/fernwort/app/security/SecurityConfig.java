package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * On this machine alone, everybody at it may use Fernwort; beyond it, whoever knows the passphrase.
 * Every change carries a token against forged requests, and pages may load nothing from elsewhere.
 */
@Configuration
@ConditionalOnWebApplication
class SecurityConfig {

  private static final String POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self';"
          + " connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  @Bean
  SecurityFilterChain security(
      HttpSecurity http, @Value("${server.address:127.0.0.1}") String address) throws Exception {
    boolean loopback = isLoopback(address);
    http.csrf(csrf ->
        csrf.csrfTokenRepository(CookieCsrfTokenRepository.withHttpOnlyFalse())
            .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()));
    http.headers(headers ->
        headers
            .contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
            .referrerPolicy(r ->
                r.policy(
                    org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                        .ReferrerPolicy.SAME_ORIGIN)));
    if (loopback) {
      http.addFilterBefore(new LocalHostNames(), AuthorizationFilter.class);
      http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll());
    } else {
      http.authorizeHttpRequests(requests ->
          requests
              .requestMatchers(
                  "/login", "/fernwort.css", "/vendor/**", "/js/**", "/icon.svg", "/c/**")
              .permitAll()
              .anyRequest()
              .authenticated());
      http.formLogin(form ->
          form.loginPage("/login")
              .usernameParameter("who")
              .passwordParameter("passphrase")
              .defaultSuccessUrl("/")
              .failureHandler((request, response, failure) ->
                  response.sendRedirect(
                      failure instanceof org.springframework.security.authentication.LockedException
                          ? "/login?wait"
                          : "/login?wrong")));
    }
    return http.build();
  }

  private static boolean isLoopback(String address) throws UnknownHostException {
    return InetAddress.getByName(address).isLoopbackAddress();
  }

  /** A page elsewhere must not reach this copy by giving its own name this machine's address. */
  static final class LocalHostNames extends OncePerRequestFilter {

    private static final Set<String> NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      if (NAMES.contains(request.getServerName())) {
        chain.doFilter(request, response);
      } else {
        response.sendError(421);
      }
    }
  }
}
