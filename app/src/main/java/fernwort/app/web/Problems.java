package fernwort.app.web;

import fernwort.app.Refusal;
import fernwort.app.rig.Doubt;
import fernwort.app.store.StaleVersion;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
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

  @ExceptionHandler(StaleVersion.class)
  String stale(StaleVersion e, Model model, HttpServletResponse response) {
    response.setHeader("X-Version", Integer.toString(e.current()));
    return say(HttpStatus.CONFLICT, e.getMessage(), model, response);
  }

  @ExceptionHandler(Doubt.class)
  String doubt(Doubt e, Model model, HttpServletResponse response) {
    response.setHeader("X-Ask", "true");
    return say(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage(), model, response);
  }

  @ExceptionHandler(InvalidRigException.class)
  String broken(InvalidRigException e, Model model, HttpServletResponse response) {
    String all = e.problems().stream().map(Problem::toString).collect(Collectors.joining(" "));
    return say(HttpStatus.UNPROCESSABLE_CONTENT, all, model, response);
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
    String ended = sentence.endsWith(".") || sentence.endsWith("?") ? sentence : sentence + ".";
    response.setHeader("X-Problem", URLEncoder.encode(ended, StandardCharsets.UTF_8));
    model.addAttribute("sentence", ended);
    model.addAttribute("theme", "auto");
    model.addAttribute("csrf", "");
    return "error";
  }
}
