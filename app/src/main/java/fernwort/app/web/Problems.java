package fernwort.app.web;

import fernwort.app.Missing;
import fernwort.app.compute.TooBusy;
import fernwort.app.store.StaleVersion;
import fernwort.app.store.StoreTrouble;
import fernwort.app.store.disk.FolderWatch;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;

/** Errors on pages: one sentence for the person, never a stack trace. */
@ControllerAdvice
@Order(Ordered.LOWEST_PRECEDENCE)
class Problems {

  private final FolderWatch watch;
  private final Visitor visitor;

  Problems(FolderWatch watch, Visitor visitor) {
    this.watch = watch;
    this.visitor = visitor;
  }

  @ExceptionHandler(Missing.class)
  String missing(Missing e, Model model, HttpServletResponse response) {
    return say(HttpStatus.NOT_FOUND, e.getMessage(), model, response);
  }

  @ExceptionHandler(Refusal.class)
  String refused(Refusal e, Model model, HttpServletRequest request, HttpServletResponse response) {
    String sentence = visitor.units(request).say(e.saying());
    return say(HttpStatus.UNPROCESSABLE_CONTENT, sentence, model, response);
  }

  /** Slips stand at their fields; the page stays as it is. */
  @ExceptionHandler(FieldErrors.class)
  String slips(FieldErrors e, Model model, HttpServletResponse response) {
    String fields =
        e.byField().entrySet().stream()
            .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    response.setHeader("X-Slips", fields);
    return say(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage(), model, response);
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

  /** What a library makes of something typed that nobody foresaw. */
  @ExceptionHandler(IllegalArgumentException.class)
  String wrong(
      IllegalArgumentException e,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    String sentence = Sentence.notUnderstood(request, e);
    return say(HttpStatus.UNPROCESSABLE_CONTENT, sentence, model, response);
  }

  @ExceptionHandler(TooBusy.class)
  String busy(TooBusy e, Model model, HttpServletResponse response) {
    return say(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage(), model, response);
  }

  @ExceptionHandler(EffortExceededException.class)
  String tooLong(EffortExceededException e, Model model, HttpServletResponse response) {
    return say(HttpStatus.SERVICE_UNAVAILABLE, Sentence.TOO_LONG, model, response);
  }

  @ExceptionHandler(StoreTrouble.class)
  String trouble(StoreTrouble e, Model model, HttpServletResponse response) {
    return say(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage(), model, response);
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  String database(
      RuntimeException e, Model model, HttpServletRequest request, HttpServletResponse response) {
    Optional<String> tooLong = Sentence.tooLong(e);
    return tooLong.isPresent()
        ? say(HttpStatus.UNPROCESSABLE_CONTENT, tooLong.get(), model, response)
        : say(
            HttpStatus.SERVICE_UNAVAILABLE, Sentence.database(watch, request, e), model, response);
  }

  @ExceptionHandler({MissingServletRequestParameterException.class, TypeMismatchException.class})
  String field(Exception e, Model model, HttpServletResponse response) {
    return say(HttpStatus.UNPROCESSABLE_CONTENT, Sentence.field(e), model, response);
  }

  @ExceptionHandler({MissingServletRequestPartException.class, MultipartException.class})
  String upload(Exception e, Model model, HttpServletResponse response) {
    return say(
        HttpStatus.UNPROCESSABLE_CONTENT,
        Says.NO_FILE_CAME_WITH_THIS_CHOOSE.text(),
        model,
        response);
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  String large(MaxUploadSizeExceededException e, Model model, HttpServletResponse response) {
    return say(HttpStatus.CONTENT_TOO_LARGE, Sentence.TOO_LARGE, model, response);
  }

  /** The page has gone while it was being answered; nobody reads what would be said. */
  @ExceptionHandler(IOException.class)
  @Nullable String gone(IOException e, HttpServletRequest request) {
    ServerFaults.quiet(request, e);
    return null;
  }

  @ExceptionHandler(RuntimeException.class)
  String fault(
      RuntimeException e, Model model, HttpServletRequest request, HttpServletResponse response) {
    return say(HttpStatus.INTERNAL_SERVER_ERROR, Sentence.fault(request, e), model, response);
  }

  private static String say(
      HttpStatus status, @Nullable String message, Model model, HttpServletResponse response) {
    String ended = Sentence.ended(message);
    response.setStatus(status.value());
    if (status == HttpStatus.SERVICE_UNAVAILABLE) {
      response.setHeader(HttpHeaders.RETRY_AFTER, TooBusy.ASK_AGAIN);
    }
    response.setHeader("X-Problem", URLEncoder.encode(ended, StandardCharsets.UTF_8));
    model.addAttribute("sentence", ended);
    model.addAttribute("theme", "auto");
    model.addAttribute("csrf", "");
    return "error";
  }
}
