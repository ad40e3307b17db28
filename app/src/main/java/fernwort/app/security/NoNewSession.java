package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A change without a session is refused before a token is made for it. The token would need a new
 * session, whose cookie may come after that of somebody who has just given the passphrase, and
 * would log them out again.
 */
final class NoNewSession extends OncePerRequestFilter {

  private final TokenTooOld refusal = new TokenTooOld();

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (OwnPagesOnly.isChange(request) && request.getSession(false) == null) {
      refusal.handle(request, response, new AccessDeniedException("no-session"));
    } else {
      chain.doFilter(request, response);
    }
  }
}
