package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session that was begun long ago, however much it is used. */
final class NotForEver extends OncePerRequestFilter {

  static final Duration LONGEST = Duration.ofDays(30);

  private final Clock clock;

  NotForEver(Clock clock) {
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session != null && clock.millis() - session.getCreationTime() > LONGEST.toMillis()) {
      session.invalidate();
    }
    chain.doFilter(request, response);
  }
}
