package fernwort.app.web;

import fernwort.app.Refusal;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;

/** Errors on pages: one sentence for the person, never a stack trace. */
@ControllerAdvice
@Order(Ordered.LOWEST_PRECEDENCE)
class Problems {

  @ExceptionHandler(Refusal.class)
  String missing(Refusal e, Model model, HttpServletResponse response) {
    return say(HttpStatus.NOT_FOUND, e.getMessage(), model, response);
  }

  @ExceptionHandler(IllegalArgumentException.class)
  String wrong(IllegalArgumentException e, Model model, HttpServletResponse response) {
    return say(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage(), model, response);
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  String large(MaxUploadSizeExceededException e, Model model, HttpServletResponse response) {
    return say(
        HttpStatus.CONTENT_TOO_LARGE,
        "The file is larger than 2 MB. Rigs are far smaller; check that it is the right file.",
        model,
        response);
  }

  private static String say(
      HttpStatus status, @Nullable String message, Model model, HttpServletResponse response) {
    String sentence = message == null ? "That did not work." : message;
    response.setStatus(status.value());
    String plain = sentence.replaceAll("[^\\x20-\\x7E]", "?");
    response.setHeader("X-Problem", plain.endsWith(".") ? plain : plain + ".");
    model.addAttribute("sentence", sentence.endsWith(".") ? sentence : sentence + ".");
    model.addAttribute("theme", "auto");
    model.addAttribute("csrf", "");
    return "error";
  }
}
