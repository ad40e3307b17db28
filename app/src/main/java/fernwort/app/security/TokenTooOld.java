package fernwort.app.security;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.access.AccessDeniedHandler;

/**
 * A change whose token is missing or belongs to a session that has ended. Whose session has ended
 * is asked for the passphrase like anybody else.
 */
final class TokenTooOld implements AccessDeniedHandler {

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
      throws IOException, ServletException {
    boolean known = SecurityContextHolder.getContext().getAuthentication() != null;
    if (AskForPassphrase.isByScript(request) || request.getRequestURI().startsWith("/api/")) {
      AskForPassphrase.say(
          response,
          known ? HttpStatus.FORBIDDEN : HttpStatus.UNAUTHORIZED,
          known ? Says.THIS_PAGE_IS_OLDER.text() : AskForPassphrase.SENTENCE);
    } else {
      response.sendRedirect("/login?again");
    }
  }
}
