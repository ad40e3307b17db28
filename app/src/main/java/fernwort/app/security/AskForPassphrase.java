package fernwort.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;

/**
 * Whoever is not known is led to the page that asks for the passphrase; a script and a program are
 * told in words, so that no such page stands inside another and nothing typed is lost.
 */
final class AskForPassphrase implements AuthenticationEntryPoint {

  static final String SENTENCE = Says.NOBODY_HAS_USED_THIS_PAGE.text();

  @Override
  public void commence(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException asked)
      throws IOException {
    if (request.getRequestURI().startsWith("/api/")) {
      say(response, HttpStatus.UNAUTHORIZED, Says.LOG_IN_FIRST_POST_LOGIN.text());
    } else if (isByScript(request)) {
      say(response, HttpStatus.UNAUTHORIZED, SENTENCE);
    } else {
      response.sendRedirect("/login");
    }
  }

  /** A script says so, and so does the browser, where it says what it asks for at all. */
  static boolean isByScript(HttpServletRequest request) {
    @Nullable String mode = request.getHeader("Sec-Fetch-Mode");
    return request.getHeader("HX-Request") != null
        || request.getHeader("X-Screen") != null
        || request.getHeader("X-Script") != null
        || mode != null && !mode.equals("navigate");
  }

  static void say(HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException {
    response.setStatus(status.value());
    response.setHeader("X-Problem", URLEncoder.encode(sentence, StandardCharsets.UTF_8));
    response.setContentType("application/json");
    response.setCharacterEncoding("UTF-8");
    response.getWriter().write("{\"sentence\":\"" + sentence + "\",\"problems\":[]}");
  }
}
