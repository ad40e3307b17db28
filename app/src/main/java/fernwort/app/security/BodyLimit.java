package fernwort.app.security;

import fernwort.app.web.Sentence;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a body by its length, before any of it is read; one that does not say it is refused. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

  private static final long KIB = 1024;
  private static final long RIG = 3 * KIB * KIB;
  private static final long BACKUP = 65 * KIB * KIB;
  private static final long LOG = 33 * KIB * KIB;
  private static final long FORM = 512 * KIB;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean streamed = request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    if (streamed) {
      refuse(
          request,
          response,
          HttpStatus.LENGTH_REQUIRED,
          Says.SEND_THE_LENGTH_OF_WHAT_YOU_SEND.text());
    } else if (request.getContentLengthLong() > most(request.getRequestURI())) {
      refuse(request, response, HttpStatus.CONTENT_TOO_LARGE, Sentence.TOO_LARGE);
    } else {
      chain.doFilter(request, response);
    }
  }

  private static long most(String path) {
    return switch (path) {
      case "/rigs/import", "/api/v1/rigs" -> RIG;
      case "/restore" -> BACKUP;
      default -> path.endsWith("/log/import") ? LOG : FORM;
    };
  }

  /** The connection ends with it, so that nothing more of the body is waited for. */
  private static void refuse(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException {
    SafeHeaders.put(response::setHeader);
    response.setHeader(HttpHeaders.CONNECTION, "close");
    if (request.getRequestURI().startsWith("/api/")) {
      AskForPassphrase.say(response, status, sentence);
    } else {
      response.setStatus(status.value());
      response.setContentType("text/plain;charset=UTF-8");
      response.getWriter().write(sentence);
    }
  }
}
