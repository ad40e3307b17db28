package fernwort.app.security;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.session.SessionAuthenticationException;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;

/**
 * On this machine alone, everybody at it may use Fernwort; beyond it, whoever knows the passphrase.
 * Every change comes from a page of this copy or a program, and carries a token against forged
 * requests; pages may load nothing from elsewhere.
 */
@Configuration
class SecurityConfig {

  /** How many devices may be logged in is bounded for all names together, not for each. */
  private static final int UNBOUNDED_HERE = -1;

  private static final String[] OPEN = {
    "/login",
    "/health",
    "/offline",
    "/sw.js",
    "/manifest.webmanifest",
    "/api/v1/token",
    "/fernwort*.css",
    "/vendor/**",
    "/js/**",
    "/icon*.svg",
    "/c/**"
  };

  @Bean
  SecurityFilterChain security(
      HttpSecurity http,
      @Value("${fernwort.open}") boolean open,
      @Value("${fernwort.hosts:}") List<String> hosts,
      Clock clock,
      LoggedIn loggedIn,
      AccessRecord record)
      throws Exception {
    http.headers(headers ->
        headers
            .contentSecurityPolicy(csp -> csp.policyDirectives(PagePolicy.OWN))
            .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN)));
    http.addFilterBefore(new OwnPagesOnly(), CsrfFilter.class);
    if (open) {
      forEverybodyAtThisMachine(http, hosts);
    } else {
      http.addFilterBefore(KnownHosts.ofTheHouse(hosts), SecurityContextHolderFilter.class);
      http.addFilterBefore(new NotForEver(clock), SecurityContextHolderFilter.class);
      forWhoeverKnowsThePassphrase(http, loggedIn, record);
    }
    return http.build();
  }

  private static void forEverybodyAtThisMachine(HttpSecurity http, List<String> hosts)
      throws Exception {
    http.csrf(csrf ->
        csrf.csrfTokenRepository(token())
            .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()));
    http.addFilterBefore(KnownHosts.thisMachine(hosts), AuthorizationFilter.class);
    http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll());
  }

  /** No page elsewhere is sent with it. */
  private static CookieCsrfTokenRepository token() {
    CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
    tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
    return tokens;
  }

  /** The token belongs to the session: a cookie set by somebody else is no token. */
  private static void forWhoeverKnowsThePassphrase(
      HttpSecurity http, LoggedIn loggedIn, AccessRecord record) throws Exception {
    HttpSessionCsrfTokenRepository tokens = new HttpSessionCsrfTokenRepository();
    tokens.setHeaderName("X-XSRF-TOKEN");
    http.csrf(csrf ->
        csrf.csrfTokenRepository(tokens)
            .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()));
    http.addFilterBefore(new NoNewSession(), CsrfFilter.class);
    http.authorizeHttpRequests(
        requests -> requests.requestMatchers(OPEN).permitAll().anyRequest().authenticated());
    // After the passphrase people come to the page they wanted, never to a piece of one.
    HttpSessionRequestCache wanted = new HttpSessionRequestCache();
    wanted.setRequestMatcher(request ->
        request.getMethod().equals("GET")
            && !AskForPassphrase.isByScript(request)
            && !request.getRequestURI().startsWith("/api/"));
    http.requestCache(cache -> cache.requestCache(wanted));
    http.exceptionHandling(e ->
        e.authenticationEntryPoint(new AskForPassphrase()).accessDeniedHandler(new TokenTooOld()));
    http.formLogin(form ->
        form.loginPage("/login")
            .usernameParameter("who")
            .passwordParameter("passphrase")
            .successHandler(new GoOn(loggedIn))
            .failureHandler((request, response, failure) -> {
              boolean wait = failure instanceof LockedException;
              if (AskForPassphrase.isByScript(request)) {
                response.setStatus(
                    wait ? HttpStatus.TOO_MANY_REQUESTS.value() : HttpStatus.UNAUTHORIZED.value());
              } else {
                response.sendRedirect(wait ? "/login?wait" : "/login?wrong");
              }
            }));
    http.sessionManagement(sessions ->
        sessions
            .maximumSessions(UNBOUNDED_HERE)
            .sessionRegistry(loggedIn.registry())
            .expiredSessionStrategy(event ->
                new AskForPassphrase()
                    .commence(
                        event.getRequest(),
                        event.getResponse(),
                        new SessionAuthenticationException("ended-elsewhere"))));
    http.logout(logout ->
        logout
            .logoutRequestMatcher(
                PathPatternRequestMatcher.withDefaults()
                    .matcher(org.springframework.http.HttpMethod.POST, "/logout"))
            .addLogoutHandler((request, response, who) ->
                record.add(AccessRecord.What.LOGGED_OUT, request.getRemoteAddr()))
            .logoutSuccessUrl("/login?out")
            .deleteCookies("JSESSIONID"));
  }

  /** A script goes on where it was; others go to the page they wanted. */
  private static final class GoOn extends SavedRequestAwareAuthenticationSuccessHandler {

    private final LoggedIn loggedIn;

    GoOn(LoggedIn loggedIn) {
      this.loggedIn = loggedIn;
    }

    @Override
    public void onAuthenticationSuccess(
        HttpServletRequest request, HttpServletResponse response, Authentication known)
        throws ServletException, IOException {
      loggedIn.welcome(request.getSession());
      if (AskForPassphrase.isByScript(request)) {
        response.setStatus(HttpStatus.NO_CONTENT.value());
      } else {
        super.onAuthenticationSuccess(request, response, known);
      }
    }
  }
}
