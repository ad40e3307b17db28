package fernwort.app.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What no page answered: programs get JSON, people a page, both the same sentence. */
@Controller
class Errors implements ErrorController {

  @RequestMapping("/error")
  Object error(HttpServletRequest request, HttpServletResponse response, Model model) {
    HttpStatus status = status(request);
    String sentence = sentence(request, status);
    String path = String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI));
    if (path.startsWith("/api/")) {
      return ResponseEntity.status(status)
          .contentType(MediaType.APPLICATION_JSON)
          .body(Map.of("sentence", sentence, "problems", List.of()));
    }
    response.setHeader("X-Problem", URLEncoder.encode(sentence, StandardCharsets.UTF_8));
    model.addAttribute("sentence", sentence);
    return "error";
  }

  private static HttpStatus status(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
    return status == null ? HttpStatus.NOT_FOUND : status;
  }

  private static String sentence(HttpServletRequest request, HttpStatus status) {
    return switch (status) {
      case NOT_FOUND -> Says.THERE_IS_NOTHING_AT_THIS_ADDRESS.text();
      case METHOD_NOT_ALLOWED -> Says.THIS_ADDRESS_DOES_NOT_TAKE.text();
      case FORBIDDEN -> Says.THIS_CHANGE_CAME_WITHOUT.text();
      case CONTENT_TOO_LARGE -> Sentence.TOO_LARGE;
      case MISDIRECTED_REQUEST -> Says.FERNWORT_ANSWERS_HERE_ONLY.text();
      case BAD_REQUEST -> Says.THE_REQUEST_IS_NOT_READABLE.text();
      case SERVICE_UNAVAILABLE -> notNow(request);
      default ->
          status.is5xxServerError()
              ? Sentence.fault(request, cause(request))
              : Says.THE_REQUEST_CANNOT_BE_ANSWERED.filled(status.value());
    };
  }

  /** Whoever could not answer now has said why. */
  private static String notNow(HttpServletRequest request) {
    @Nullable Object said = request.getAttribute(RequestDispatcher.ERROR_MESSAGE);
    return said instanceof String sentence && !sentence.isBlank()
        ? sentence
        : Says.FERNWORT_CANNOT_ANSWER_THIS_NOW.text();
  }

  private static Throwable cause(HttpServletRequest request) {
    @Nullable Object fault = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
    return fault instanceof Throwable thrown
        ? thrown
        : new IllegalStateException("an error without an exception");
  }
}
